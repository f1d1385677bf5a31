import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import openapiTypes, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { buildServer } from './build.mjs';
import { ROOT } from './paths.mjs';

/** Where the types of what the server takes and answers stand. */
export const API_TYPES = join(ROOT, 'apps/web/src/api/server.ts');

/** How the description marks types that both sides have from the core. */
const OF_CORE = '@cove/core';

const HEAD = '/** Made by ./cove api from what the server says of itself; not written by hand. */\n';

/** The description, as the built server prints it. */
function describe() {
  buildServer();
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'apps/server/dist/describe.process.mjs')],
    {
      env: {
        ...process.env,
        COVE_DATA: join(ROOT, '.cove'),
        COVE_DATABASE_URL: 'postgres://localhost/described',
      },
      encoding: 'utf8',
    },
  );
  if (status !== 0) throw new Error(`The server could not be described:\n${stderr}`);
  return JSON.parse(stdout);
}

/** TypeScript for what the server takes and answers. */
export async function makeApiTypes() {
  const named = ts.factory.createIdentifier;
  const fromCore = new Set();
  const nodes = await openapiTypes(describe(), {
    immutable: true,
    alphabetize: true,
    transform({ format }, { path = '' }) {
      if (format === 'binary') return ts.factory.createTypeReferenceNode('Blob');
      if (format !== OF_CORE) return undefined;
      const name = path.split('/').at(-1);
      fromCore.add(name);
      return ts.factory.createTypeReferenceNode(`core.${name}`);
    },
  });
  const core = ts.factory.createImportDeclaration(
    undefined,
    ts.factory.createImportClause(true, undefined, ts.factory.createNamespaceImport(named('core'))),
    ts.factory.createStringLiteral(OF_CORE, true),
  );
  return HEAD + astToString([core, ...nodes]);
}
