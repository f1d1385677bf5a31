import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { CORE_TYPES, coreRef } from './coreTypes';

/** Marks, in the description, the types that readers have from the core. */
const OF_CORE = '@cove/core';

const METHODS = ['get', 'post', 'put', 'delete'] as const;

const PROBLEM = {
  description: 'Refused, or failed',
  content: { 'application/json': { schema: coreRef('Problem') } },
};

/** What the server takes and answers, as OpenAPI. */
export function describeApi(app: INestApplication): OpenAPIObject {
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder().setTitle('Cove Thread').setVersion('1').setOpenAPIVersion('3.1.0').build(),
  );
  const schemas = { ...document.components?.schemas };
  for (const [name, description] of Object.entries(CORE_TYPES))
    schemas[name] = { type: 'object', additionalProperties: true, description, format: OF_CORE };
  for (const path of Object.values(document.paths))
    for (const method of METHODS) {
      const operation = path[method];
      if (operation) operation.responses = { ...operation.responses, default: PROBLEM };
    }
  return { ...document, components: { ...document.components, schemas } };
}
