import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Ajv, type ValidateFunction } from 'ajv';
import { CORE_TYPES } from '../src/api/coreTypes';
import { startWorld, type World } from './support/world';

interface Operation {
  responses: Record<string, { content?: Record<string, { schema: object }> }>;
}
interface Description {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, { properties?: object; additionalProperties?: boolean }> };
}

let world: World;
let description: Description;
/** What checks an answer against a part of the description. Nothing may be answered that is not declared. */
let ajv: Ajv;
beforeAll(async () => {
  world = await startWorld('description');
  description = (await world.get('/api/openapi.json').expect(200)).body;
  for (const [name, schema] of Object.entries(description.components.schemas))
    if (!Object.hasOwn(CORE_TYPES, name) && !schema.additionalProperties) schema.additionalProperties = false;
  ajv = new Ajv({ strict: false, validateFormats: false });
  ajv.addSchema(description, 'api');
});
afterAll(() => world.close());

const declared = (method: string, path: string, status: number): ValidateFunction => {
  const step = path.replaceAll('~', '~0').replaceAll('/', '~1');
  return ajv.compile({
    $ref: `api#/paths/${encodeURIComponent(step)}/${method}/responses/${status}/content/application~1json/schema`,
  });
};

function expectDeclared(method: string, path: string, { status, body }: { status: number; body: unknown }) {
  const check = declared(method, path, status);
  check(body);
  expect({ path, errors: check.errors }).toEqual({ path, errors: null });
}

const SITE = '/api/sites/{site}';
const at = (path: string) => path.replace('{site}', 'tolvane').replace('{page}', 'home');

describe('the description', () => {
  it('declares an answer of every route: what it holds, or that it holds nothing', () => {
    const undeclared = Object.entries(description.paths).flatMap(([path, methods]) =>
      Object.entries(methods)
        .filter(([, { responses }]) => {
          const [status = '', answer] = Object.entries(responses).find(([it]) => it.startsWith('2')) ?? [];
          return status !== '204' && !Object.values(answer?.content ?? {})[0]?.schema;
        })
        .map(([method]) => `${method} ${path}`),
    );
    expect(undeclared).toEqual([]);
  });

  it('is what the interface’s types were made from', () => {
    const { status, stderr } = spawnSync(
      process.execPath,
      [join(import.meta.dirname, '../../../scripts/api.mjs'), '--check'],
      { encoding: 'utf8' },
    );
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
  });

  it('says of a failure what it looks like', async () => {
    const { body, status } = await world.get('/api/sites/nowhere');
    expect(status).toBe(404);
    const check = ajv.compile({ $ref: 'api#/components/schemas/Problem' });
    expect(check(body)).toBe(true);
    expect(description.paths[SITE]?.get?.responses.default).toBeDefined();
  });
});

describe('what is answered is what is declared, and no more', () => {
  it.each([
    '/api/health',
    '/api/demo',
    '/api/session',
    '/api/account/sessions',
    '/api/sites',
    SITE,
    `${SITE}/changes`,
    `${SITE}/tokens`,
    `${SITE}/members`,
  ])('by %s', async path => {
    expectDeclared('get', path, await world.get(at(path)).expect(200));
  });

  it('by lists of what people have made', async () => {
    const make = async (path: string, status: number, body: object) => {
      const made = await world.send('post', at(path), body).expect(status);
      expectDeclared('post', path, made);
      return made.body;
    };
    const list = async (path: string, least = 1) => {
      const listed = await world.get(at(path)).expect(200);
      expect(listed.body.length).toBeGreaterThanOrEqual(least);
      expectDeclared('get', path, listed);
    };
    await make(`${SITE}/invitations`, 201, { email: 'ines@tolvane.example', role: 'keeper' });
    await list(`${SITE}/invitations`);
    await list('/api/outbox');
    await make(`${SITE}/snapshots`, 201, { note: 'Before the summer' });
    await list(`${SITE}/snapshots`);
    await make('/api/guides', 200, { site: 'tolvane', name: 'Tolvane', about: 'Quiet' });
    await list('/api/guides');
    const { body: whole } = await world.get(at(SITE)).expect(200);
    const section = whole.records.find((it: { kind: string }) => it.kind === 'section')?.id;
    await make('/api/sections', 200, { site: 'tolvane', section, name: 'Welcome' });
    await list('/api/sections');
    await make(`${SITE}/releases`, 202, { note: 'First' });
    expectDeclared('get', `${SITE}/releases`, await world.get(at(`${SITE}/releases`)).expect(200));
    await make('/api/sites', 200, { name: 'Harbour', starter: 'bare' });
    await make('/api/account/link', 202, { email: 'tove@tolvane.example' });
  });

  it('by what alters a site', async () => {
    const accepted = await world
      .change([{ op: 'set', id: 'hull', path: ['name'], value: 'Keel' }])
      .expect(200);
    expectDeclared('post', `${SITE}/changes`, accepted);
  });

  it('by an answer that is not as declared, this test would be failed', () => {
    const check = declared('get', '/api/demo', 200);
    expect(check({ offered: true })).toBe(true);
    expect(check({ offered: 'yes' })).toBe(false);
    expect(check({ offered: true, more: 1 })).toBe(false);
  });
});
