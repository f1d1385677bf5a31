import { SCHEMA } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { ORIGIN, startWorld, type World } from './support/world';

let world: World;
let cookies: Record<'designer' | 'keeper' | 'reviewer' | 'stranger', string>;
beforeAll(async () => {
  world = await startWorld('access');
  cookies = {
    designer: world.demo,
    keeper: await world.member('keeper'),
    reviewer: await world.member('reviewer'),
    stranger: await world.stranger(),
  };
});
afterAll(() => world.close());

type Who = 'nobody' | keyof typeof cookies;
const ALL: readonly Who[] = ['nobody', 'stranger', 'reviewer', 'keeper', 'designer'];

/** For every route and method: the answer each may expect. 2xx is written as 200. */
const EXPECTED: Record<string, Record<Who, number>> = {
  'get /api/health': { nobody: 200, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/demo': { nobody: 200, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'post /api/demo/session': { nobody: 200, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'post /api/session': { nobody: 400, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/session': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/sites': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/sites/{site}': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/sites/{site}/palette': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'put /api/sites/{site}/name': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'put /api/sites/{site}/archived': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'post /api/sites/{site}/copies': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'delete /api/sites/{site}': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'post /api/sites/{site}/changes': { nobody: 401, stranger: 404, reviewer: 403, keeper: 400, designer: 400 },
  'get /api/sites/{site}/releases': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'post /api/sites/{site}/releases': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 200,
  },
  'put /api/sites/{site}/live': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'get /api/sites/{site}/thread': { nobody: 401, stranger: 404, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/sites/{site}/tokens': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/sites/{site}/guide/{file}': {
    nobody: 401,
    stranger: 404,
    reviewer: 400,
    keeper: 400,
    designer: 400,
  },
  'get /api/sites/{site}/export.zip': {
    nobody: 401,
    stranger: 404,
    reviewer: 200,
    keeper: 200,
    designer: 200,
  },
  'get /api/sites/{site}/whole.zip': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 200,
  },
  'post /api/sites/{site}/whole': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 415 },
  'post /api/sites/whole': { nobody: 401, stranger: 415, reviewer: 415, keeper: 415, designer: 415 },
  'get /api/sites/{site}/pages/{page}/preview': {
    nobody: 401,
    stranger: 404,
    reviewer: 200,
    keeper: 200,
    designer: 200,
  },
  'post /api/sites/{site}/assets': { nobody: 401, stranger: 404, reviewer: 403, keeper: 415, designer: 415 },
  'post /api/sites/{site}/assets/files': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 415,
    designer: 415,
  },
  'get /api/sites/{site}/assets/{file}': {
    nobody: 401,
    stranger: 404,
    reviewer: 404,
    keeper: 404,
    designer: 404,
  },
  'get /api/sites/{site}/snapshots': {
    nobody: 401,
    stranger: 404,
    reviewer: 200,
    keeper: 200,
    designer: 200,
  },
  'post /api/sites/{site}/snapshots': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 400,
  },
  'get /api/sites/{site}/snapshots/{snapshot}/guide': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 404,
  },
  'post /api/sites/{site}/snapshots/{snapshot}/restore': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 404,
  },
  'delete /api/sites/{site}/snapshots/{snapshot}': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 200,
  },
  'post /api/sites': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/sections': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'post /api/sections': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'delete /api/sections/{section}': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/guides': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'post /api/guides': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/guides/{guide}': { nobody: 401, stranger: 404, reviewer: 404, keeper: 404, designer: 404 },
  'post /api/guides/{guide}/files': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'delete /api/guides/{guide}': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  // JSON is no font: what is sent is not even looked at.
  'post /api/sites/{site}/fonts': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 415 },
  'get /api/sites/{site}/fonts/{file}': {
    nobody: 401,
    stranger: 404,
    reviewer: 404,
    keeper: 404,
    designer: 404,
  },
  'get /api/sites/{site}/changes': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'put /api/sites/{site}/presence': { nobody: 401, stranger: 404, reviewer: 400, keeper: 400, designer: 400 },
  'delete /api/sites/{site}/presence/{client}': {
    nobody: 401,
    stranger: 404,
    reviewer: 200,
    keeper: 200,
    designer: 200,
  },
  'get /api/sites/{site}/members': { nobody: 401, stranger: 404, reviewer: 200, keeper: 200, designer: 200 },
  'put /api/sites/{site}/members/{account}': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 400,
  },
  'delete /api/sites/{site}/members/{account}': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 404,
  },
  'put /api/sites/{site}/keeper': { nobody: 401, stranger: 404, reviewer: 403, keeper: 403, designer: 400 },
  'get /api/sites/{site}/invitations': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 200,
  },
  'post /api/sites/{site}/invitations': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 400,
  },
  'delete /api/sites/{site}/invitations/{invitation}': {
    nobody: 401,
    stranger: 404,
    reviewer: 403,
    keeper: 403,
    designer: 404,
  },
  'post /api/invitations/look': { nobody: 400, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'post /api/invitations/accept': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/outbox': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/outside/pictures': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'get /api/outside/pictures/{picture}': {
    nobody: 401,
    stranger: 400,
    reviewer: 400,
    keeper: 400,
    designer: 400,
  },
  'get /api/outside/address': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/outbox/open': { nobody: 404, stranger: 404, reviewer: 404, keeper: 404, designer: 404 },
  'post /api/account': { nobody: 400, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'post /api/account/link': { nobody: 400, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'post /api/account/link/look': { nobody: 400, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'put /api/account/name': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'put /api/account/password': { nobody: 401, stranger: 400, reviewer: 400, keeper: 400, designer: 400 },
  'get /api/account/sessions': { nobody: 401, stranger: 200, reviewer: 200, keeper: 200, designer: 200 },
  'delete /api/account/sessions/{session}': {
    nobody: 401,
    stranger: 404,
    reviewer: 404,
    keeper: 404,
    designer: 404,
  },
  'get /fonts/{file}': { nobody: 404, stranger: 404, reviewer: 404, keeper: 404, designer: 404 },
};
/** Told apart elsewhere: a stream does not end, and these end the sessions or memberships that the others need. */
const APART = new Set([
  'get /api/sites/{site}/events',
  'delete /api/session',
  'delete /api/account/sessions',
  'delete /api/sites/{site}/members/me',
]);
const NOBODY_HAS = '00000000-0000-4000-8000-000000000000';

describe('every route', () => {
  it('of the API description has an answer here for everyone, so that a new one without fails', async () => {
    const { paths } = (await world.get('/api/openapi.json').expect(200)).body;
    const routes = Object.entries<object>(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map(method => `${method} ${path}`),
    );
    expect(routes.filter(route => !APART.has(route)).sort()).toEqual(Object.keys(EXPECTED).sort());
  });

  it.each(Object.keys(EXPECTED).flatMap(route => ALL.map((who): [string, Who] => [route, who])))(
    '%s, called by %s',
    async (route, who) => {
      const [method = '', path = ''] = route.split(' ');
      const url = path
        .replace('{site}', 'tolvane')
        .replace('{page}', 'home')
        .replace('{file}', 'nothing.webp')
        .replace('{client}', 'some-tab-1')
        .replace(/\{(account|invitation|session)\}/, NOBODY_HAS);
      const call = request(world.http)
        [method as 'get' | 'post' | 'put' | 'delete'](url)
        .set('cove-schema', String(SCHEMA))
        .set('origin', ORIGIN);
      if (who !== 'nobody') call.set('cookie', cookies[who]);
      const { status } = method === 'get' ? await call : await call.send({});
      expect(status >= 200 && status < 300 ? 200 : status).toBe(EXPECTED[route]?.[who]);
    },
  );

  it.each([
    ['post', '/api/sites', { name: '  ', starter: 'bare' }],
    ['post', '/api/sections', { site: 'tolvane', section: 'welcome' }],
    ['post', '/api/session', {}],
    ['post', '/api/session', { email: 'x', password: 3 }],
    ['post', '/api/sites/tolvane/changes', { id: 'x', edits: [] }],
    ['post', '/api/sites/tolvane/changes', { id: 'long-enough', edits: 'all' }],
    ['post', '/api/sites/tolvane/changes', { id: 'long-enough', edits: [{}], more: 1 }],
    ['post', '/api/sites/tolvane/releases', { note: 7 }],
    ['put', '/api/sites/tolvane/live', { release: 'newest' }],
    ['post', '/api/sites/tolvane/changes', { id: 'long-enough', base: -1, edits: [{}] }],
    ['put', '/api/sites/tolvane/presence', { client: 'some-tab-1', station: 'cellar' }],
    ['put', `/api/sites/tolvane/members/${NOBODY_HAS}`, { role: 'owner' }],
    ['put', '/api/sites/tolvane/keeper', { keeperMay: 'guide' }],
    ['post', '/api/sites/tolvane/invitations', { email: 'ines', role: 'keeper' }],
    ['post', '/api/invitations/look', { secret: 'short' }],
    ['post', '/api/invitations/accept', { secret: ['x'] }],
    ['post', '/api/account', { secret: 'x'.repeat(43), name: 'Ines', password: 'short' }],
    ['post', '/api/account/link', { email: 'ines' }],
    ['post', '/api/account/link/look', {}],
    ['put', '/api/account/name', { name: '' }],
    ['put', '/api/account/password', { current: 'x', password: 'short' }],
  ] as const)('%s %s refuses the body %j', async (method, path, body) => {
    const { status, body: answer } = await world.send(method, path, body);
    expect(status).toBe(400);
    expect(answer).toMatchObject({ code: 'bad-request', message: expect.any(String) });
  });
});

describe('unsafe requests', () => {
  it('from another origin, or from none, are refused', async () => {
    for (const origin of ['http://127.0.0.1:4311', 'http://evil.example', undefined]) {
      const call = request(world.http).post('/api/demo/session');
      if (origin) call.set('origin', origin);
      expect((await call.send({})).body).toMatchObject({ code: 'bad-origin', expected: ORIGIN });
    }
  });
  it('that are not JSON are refused', async () => {
    await request(world.http)
      .post('/api/session')
      .set('origin', ORIGIN)
      .type('form')
      .send({ email: 'a@b.example', password: 'x' })
      .expect(415);
  });
});

describe('a session', () => {
  it('is a cookie that no script reads and no other site sends', async () => {
    const response = await request(world.http)
      .post('/api/session')
      .set('origin', ORIGIN)
      .send({ email: 'demo@tolvane.example', password: 'ferries-at-dawn' })
      .expect(200);
    expect(response.get('set-cookie')?.[0]).toMatch(/^cove-session=[\w-]{43};.*HttpOnly; SameSite=Strict$/);
  });
  it('does not tell a wrong password from an unknown address', async () => {
    const answers = await Promise.all(
      ['demo@tolvane.example', 'nobody@tolvane.example'].map(email =>
        request(world.http).post('/api/session').set('origin', ORIGIN).send({ email, password: 'wrong' }),
      ),
    );
    expect(answers.map(it => [it.status, it.body])).toEqual([
      [401, answers[0]?.body],
      [401, answers[0]?.body],
    ]);
  });
  it('ends with signing out', async () => {
    const cookie = await world.signIn('demo@tolvane.example', 'ferries-at-dawn');
    await world.send('delete', '/api/session', undefined, cookie).expect(204);
    await world.get('/api/session', cookie).expect(401);
  });
  it('is kept as a hash alone', async () => {
    const rows: { n: number }[] = await world.database.query(
      'select count(*)::int as n from sessions where length(token_hash) <> 32',
    );
    expect(rows).toEqual([{ n: 0 }]);
  });
});

describe('what a keeper may change', () => {
  const content = { op: 'set', id: 'book', path: ['content', 'label'], value: 'Book now' };
  const choice = { op: 'set', id: 'book', path: ['variants', 'size'], value: 'size-small' };
  const style = {
    op: 'set',
    id: 'book',
    path: ['styles', 'box/opacity'],
    value: { type: 'number', value: 0.9 },
  };
  const guide = { op: 'set', id: 'hull', path: ['name'], value: 'Keel' };
  const removal = { op: 'remove', id: 'ticket' };
  it.each([
    ['content', [200, 403, 403, 403, 403]],
    ['choice', [200, 200, 403, 403, 403]],
    ['style', [200, 200, 200, 403, 403]],
  ] as const)('is held for each edit’s path: %s', async (may, statuses) => {
    const cookie = await world.member('keeper', may);
    for (const [i, edit] of [content, choice, style, guide, removal].entries()) {
      const { status, body } = await world.change([edit], { cookie });
      expect(status).toBe(statuses[i]);
      if (status === 403) expect(body).toMatchObject({ code: 'forbidden', record: edit.id });
    }
  });
  it('one edit beyond it refuses the whole change', async () => {
    const cookie = await world.member('keeper', 'content');
    await world.change([content, guide], { cookie }).expect(403);
  });
});
