import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { type Edit, LIMITS, SCHEMA, type SiteRecord } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { AttemptsService } from '../src/accounts/attempts.service';
import { Database, type Query } from '../src/common/database';
import { unpackedBytes } from '../src/files/unpackedBytes';
import { HealthController } from '../src/health/health.controller';
import { acceptChange } from '../src/sites/acceptChange';
import { SiteFeed, type Stream, TICK } from '../src/sites/siteFeed';
import { SitesHost } from '../src/sitesHost/sitesHost.service';
import { StoredFiles } from '../src/storage/storedFiles';
import { Uploads } from '../src/uploads/uploads.service';
import { ORIGIN, startProcess, startWorld, type World } from './support/world';

let world: World;
let account = '';
beforeAll(async () => {
  world = await startWorld('hold');
  const rows: { id: string }[] = await world.database.query(
    "select id from accounts where email = 'demo@tolvane.example'",
  );
  account = rows[0]?.id ?? '';
});
afterAll(() => world.close());

/** Characters that are parsed as JSON in this process while something runs. */
async function parsedMeanwhile(run: () => Promise<unknown>): Promise<number> {
  const { parse } = JSON;
  let characters = 0;
  JSON.parse = (text: string, reviver?: Parameters<typeof parse>[1]) => {
    characters += text.length;
    return parse(text, reviver);
  };
  try {
    await run();
  } finally {
    JSON.parse = parse;
  }
  return characters;
}

const post = (
  path: string,
  body: string | Buffer,
  { cookie = '', type = 'application/json', origin = ORIGIN } = {},
) =>
  request(world.http)
    .post(path)
    .set('origin', origin)
    .set('cookie', cookie)
    .set('cove-schema', String(SCHEMA))
    .type(type)
    .send(body);
const large = (characters: number) =>
  JSON.stringify({ email: 'a@b.example', password: 'x'.repeat(characters) });

describe('a body is looked at only once it is known who sends it', () => {
  it.each<[string, () => Promise<{ status: number }>, number]>([
    [
      'from nobody, to a route for members',
      async () => post('/api/sites/tolvane/changes', large(5_000_000)),
      401,
    ],
    [
      'from a stranger',
      async () => post('/api/sites/tolvane/changes', large(5_000_000), { cookie: await world.stranger() }),
      404,
    ],
    [
      'from another origin',
      async () => post('/api/session', large(2000), { origin: 'http://evil.example' }),
      403,
    ],
    ['that is not JSON', async () => post('/api/session', large(2000), { type: 'text/plain' }), 415],
    ['that is larger than the route takes', async () => post('/api/session', large(5000)), 413],
  ])('%s', async (_, send, status) => {
    let found = 0;
    const parsed = await parsedMeanwhile(async () => {
      found = (await send()).status;
    });
    expect(found).toBe(status);
    // The answer itself is read by this test, and a session by the one who asks.
    expect(parsed).toBeLessThan(1500);
  });

  it('and no more of it is taken than is said, also where its length is not told', async () => {
    const status = await new Promise<number | undefined>((resolve, reject) => {
      const { port } = new URL(ORIGIN);
      const sent = plainRequest(
        {
          port,
          host: '127.0.0.1',
          method: 'POST',
          path: '/api/session',
          headers: { origin: ORIGIN, 'content-type': 'application/json', 'transfer-encoding': 'chunked' },
        },
        response => {
          response.resume();
          resolve(response.statusCode);
        },
      );
      sent.on('error', reject);
      for (let i = 0; i < 20; i++) sent.write(`${' '.repeat(1000)}`);
      sent.end('{}');
    });
    expect(status).toBe(413);
  });

  it('and where it is compressed it is not unpacked', async () => {
    const { status } = await request(world.http)
      .post('/api/session')
      .set('origin', ORIGIN)
      .set('content-type', 'application/json')
      .set('content-encoding', 'br')
      .send(brotliCompressSync(Buffer.alloc(1_000_000)).toString('latin1'));
    expect(status).toBe(415);
  });

  it('every route that anyone may call takes kilobytes at most', async () => {
    for (const path of [
      '/api/session',
      '/api/demo/session',
      '/api/account',
      '/api/account/link',
      '/api/account/link/look',
      '/api/invitations/look',
    ])
      expect([path, (await post(path, large(LIMITS.body.anonymous))).status]).toEqual([path, 413]);
  });
});

describe('a change', () => {
  it('of millions of edits is refused before any is read, and not parsed where requests are answered', async () => {
    let code = '';
    const parsed = await parsedMeanwhile(async () => {
      const { body } = await post(
        '/api/sites/tolvane/changes',
        `{"id":"millions-of-edits","edits":[${'{},'.repeat(6_000_000)}{}]}`,
        { cookie: world.demo },
      );
      code = body.code;
    });
    expect(code).toBe('too-many');
    expect(parsed).toBeLessThan(2000);
  });

  it.each([
    [
      'too many edits',
      JSON.stringify({
        id: 'too-many-edits',
        edits: Array.from({ length: 20_001 }, () => ({ op: 'remove', id: 'nothing' })),
      }),
      'too-much',
    ],
    ['too deep', `{"id":"too-deep-json","edits":${'['.repeat(200)}${']'.repeat(200)}}`, 'too-deep'],
    ['edits that are none', JSON.stringify({ id: 'no-edits-at-all', edits: [{ op: 'leap' }] }), 'bad-edit'],
  ])('is refused for %s', async (_, text, code) => {
    const { status, body } = await post('/api/sites/tolvane/changes', text, { cookie: world.demo });
    expect([status, body.code]).toEqual([422, code]);
  });

  it('that is large is accepted in a thread, and told like any other', async () => {
    const edits = Array.from({ length: 3000 }, (_, i): Edit => ({ op: 'put', record: page(i) }));
    const { status, body } = await world.change(edits);
    expect([status, body.dropped]).toEqual([200, []]);
    const [{ count } = { count: 0 }]: { count: number }[] = await world.database.query(
      "select (select count(*)::int from records where site_id = s.id) - s.records as count from sites s where id = 'tolvane'",
    );
    expect(count).toBe(0);
    await world
      .change(edits.map(edit => ({ op: 'remove', id: edit.op === 'put' ? edit.record.id : '' })))
      .expect(200);
  });
});

const page = (i: number): SiteRecord => ({
  id: `many${i}`,
  kind: 'page',
  pageKind: 'page',
  title: `Page ${i}`,
  path: `many-${i}`,
  description: '',
  at: { parent: 'settings', order: 'V' },
  scheme: null,
  rebind: {},
});
const swatch = (i: number, follows: number | null): SiteRecord => ({
  id: `chain${i}`,
  kind: 'token',
  type: 'color',
  name: `Chain ${i}`,
  group: 'Chain',
  order: 'V',
  value:
    follows === null
      ? { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } }
      : { type: 'token', token: `chain${follows}` },
});
const group = (i: number): SiteRecord => ({
  id: `deep${i}`,
  kind: 'widget',
  widget: 'group',
  at: { parent: i === 0 ? 'welcome' : `deep${i - 1}`, order: 'V' },
  content: {},
  variants: {},
  wears: {},
  styles: {},
});

/** Accepts a change and counts the statements it takes. */
async function accepting(edits: readonly Edit[]) {
  let statements = 0;
  let made = 0;
  const database = world.app.get(Database);
  const result = await database.transaction(async query => {
    const counting: Query = (sql, values) => {
      statements++;
      return query(sql, values);
    };
    return acceptChange(counting, world.app.get(StoredFiles), {
      site: 'tolvane',
      account,
      id: `counted-${++made}-${Date.now()}`,
      base: 0,
      edits,
    });
  });
  return { statements, result, code: result.ok ? 'ok' : result.problem.code };
}

/** Publishes a site and waits for what comes of it. */
async function release(site: string, leaveOut: boolean) {
  const { body } = await world.send('post', `/api/sites/${site}/releases`, { leaveOut }).expect(202);
  for (;;) {
    const { body: all } = await world.get(`/api/sites/${site}/releases`);
    const found = all.releases.find((it: { id: string }) => it.id === body.id);
    if (found.state === 'done' || found.state === 'failed') return found;
    await new Promise(resolve => setTimeout(resolve, 100));
  }
}

/** Lays records past all checks, as they may have been stored before there were any. */
async function store(records: readonly SiteRecord[]): Promise<void> {
  const rows = JSON.stringify(records.map(body => ({ body })));
  await world.database.query(
    `insert into records (site_id, id, kind, parent, body)
     select 'tolvane', r->'body'->>'id', r->'body'->>'kind', r->'body'->'at'->>'parent', r->'body'
     from jsonb_array_elements($1::jsonb) r`,
    [rows],
  );
  await world.database.query(
    `insert into record_references (site_id, from_id, path, to_id)
     select 'tolvane', r->'body'->>'id', 'at.parent', r->'body'->'at'->>'parent' from jsonb_array_elements($1::jsonb) r
     where r->'body'->'at' is not null
     union all
     select 'tolvane', r->'body'->>'id', 'value', r->'body'->'value'->>'token' from jsonb_array_elements($1::jsonb) r
     where r->'body'->'value'->>'token' is not null`,
    [rows],
  );
  await world.database.query(
    "update sites s set records = (select count(*) from records where site_id = s.id), seq = seq + 1000 where id = 'tolvane'",
  );
}

describe('accepting asks the database a handful of times, however large the change or what is around it', () => {
  it('for pages beside thousands of others', async () => {
    const few = await accepting([{ op: 'put', record: page(1) }]);
    const many = await accepting(
      Array.from({ length: 2000 }, (_, i) => ({ op: 'put', record: page(i + 10) })),
    );
    const beside = await accepting([{ op: 'put', record: page(5000) }]);
    expect([few.code, many.code, beside.code]).toEqual(['ok', 'ok', 'ok']);
    expect(many.statements).toBeLessThanOrEqual(few.statements + 1);
    expect(beside.statements).toBe(few.statements);
    const taken = await accepting([{ op: 'put', record: { ...page(6000), path: 'many-11' } as SiteRecord }]);
    expect(taken.code).toBe('address-taken');
    await accepting([
      ...Array.from({ length: 2000 }, (_, i): Edit => ({ op: 'remove', id: `many${i + 10}` })),
      { op: 'remove', id: 'many1' },
      { op: 'remove', id: 'many5000' },
    ]);
  });

  it('for a chain of thousands of tokens, which is refused', async () => {
    const chain = Array.from(
      { length: 5000 },
      (_, i): Edit => ({ op: 'put', record: swatch(i, i === 0 ? null : i - 1) }),
    );
    const { code, statements } = await accepting(chain);
    expect(code).toBe('too-deep');
    expect(statements).toBeLessThan(12);
  });

  it('for one token that is made to follow a chain stored before there was a limit', async () => {
    await store(Array.from({ length: 3000 }, (_, i) => swatch(i, i === 0 ? null : i - 1)));
    const first = await accepting([
      { op: 'set', id: 'hull', path: ['value'], value: { type: 'token', token: 'chain2999' } },
    ]);
    expect(first.code).toBe('too-deep');
    expect(first.statements).toBeLessThan(12);
    const freed = await accepting(
      Array.from({ length: 3000 }, (_, i): Edit => ({ op: 'remove', id: `chain${2999 - i}` })),
    );
    expect(freed.code).toBe('ok');
  });

  it('for groups nested thousands deep, which stay readable, are reported, and can be taken away', async () => {
    await store(Array.from({ length: 4000 }, (_, i) => group(i)));
    await world.get('/api/sites/tolvane/pages/home/preview').expect(200);
    const archive = await world.get('/api/sites/tolvane/export.zip').expect(422);
    expect(archive.body).toMatchObject({ code: 'unrenderable', message: expect.stringContaining('32 deep') });

    const failed = await release('tolvane', false);
    expect(failed).toMatchObject({ state: 'failed', problem: expect.stringContaining('on ') });
    expect(failed.problems[0]).toMatchObject({ page: 'home', node: 'deep31' });
    expect(await release('tolvane', true)).toMatchObject({ state: 'done', live: true });

    const { code, statements } = await accepting([{ op: 'remove', id: 'deep0' }]);
    expect(code).toBe('ok');
    expect(statements).toBeLessThan(10);
    await world.get('/api/sites/tolvane/export.zip').expect(200);
  });
});

describe('a file that a record names', () => {
  const put = (facts: object, site = 'tolvane') =>
    world.change(
      [
        {
          op: 'put',
          record: {
            id: `named-${Math.random().toString(36).slice(2)}`,
            kind: 'asset',
            name: 'Quay',
            alt: '',
            width: 1,
            height: 1,
            mime: 'image/webp',
            file: '',
            ...facts,
          },
        },
      ],
      { site },
    );

  it('has to be stored, at this very site, as what is said of it', async () => {
    const { body: pdf } = await world
      .upload('/api/sites/tolvane/assets/files?name=Fares.pdf', Buffer.from('%PDF-1.7\n'))
      .expect(200);
    expect((await put(pdf)).status).toBe(200);
    expect((await put({ ...pdf, mime: 'application/zip' })).body).toMatchObject({
      code: 'no-such-file',
      found: 'application/pdf',
    });
    expect((await put({ file: 'abcdef0123456789.webp' })).body).toMatchObject({
      code: 'no-such-file',
      path: 'file',
    });
    const { body: other } = await world
      .send('post', '/api/sites', { name: 'Other quay', starter: 'bare' })
      .expect(200);
    expect((await put(pdf, other.id)).body).toMatchObject({ code: 'no-such-file' });
  });

  it('and is gone from storage all the same is reported by its name when the site is published', async () => {
    const { body: facts } = await world.upload('/api/sites/tolvane/assets', await tinyPicture()).expect(200);
    await put({ ...facts, id: 'lost-picture' }).then(({ status }) => expect(status).toBe(200));
    await world.change([{ op: 'set', id: 'settings', path: ['tabIcon'], value: 'lost-picture' }]).expect(200);
    const { unlinkSync } = await import('node:fs');
    unlinkSync(join(world.config.COVE_DATA, 'assets/tolvane', facts.file));
    const { body } = await world.get('/api/sites/tolvane/export.zip').expect(422);
    expect(body.message).toContain('Quay on Home: Its file is missing');
    await world.change([{ op: 'unset', id: 'settings', path: ['tabIcon'] }]).expect(200);
  });
});

const tinyPicture = async () => {
  const { default: sharp } = await import('sharp');
  return sharp({ create: { width: 3, height: 2, channels: 3, background: '#2a3a5f' } })
    .png()
    .toBuffer();
};

/** A WOFF2 of one table that says and packs so many zeros. */
function fontOfZeros(bytes: number): Buffer {
  const packed = brotliCompressSync(Buffer.alloc(bytes));
  const header = Buffer.alloc(48);
  header.write('wOF2', 0, 'latin1');
  header.writeUInt16BE(1, 12);
  header.writeUInt32BE(1000, 16);
  header.writeUInt32BE(packed.length, 20);
  return Buffer.concat([header, Buffer.from([0x00, 0x87, 0x68]), packed]);
}

describe('an upload', () => {
  it('that unpacks to far more than it has is refused, whatever it says of itself', async () => {
    expect(unpackedBytes(fontOfZeros(1000))).toBe(1000);
    expect(unpackedBytes(fontOfZeros(LIMITS.upload.unpackedFontBytes + 1))).toBe(Number.POSITIVE_INFINITY);
    const { body } = await world.upload('/api/sites/tolvane/fonts', fontOfZeros(100_000_000)).expect(422);
    expect(body).toMatchObject({ code: 'bad-font', message: expect.stringContaining('unpacks') });
  });

  const withPart = async (source: string) => {
    const folder = mkdtempSync(join(tmpdir(), 'cove-part-'));
    mkdirSync(folder, { recursive: true });
    writeFileSync(join(folder, 'uploads.process.mjs'), source);
    const uploads = new Uploads(
      Object.assign(Object.create(world.config), { COVE_PARTS: folder }),
      world.app.get(Database),
      world.app.get(StoredFiles),
    );
    try {
      return await uploads.keep('picture', 'tolvane', { path: '/nowhere', bytes: 1 }).then(
        () => 'kept',
        (error: Error) => error.message,
      );
    } finally {
      uploads.onModuleDestroy();
      rmSync(folder, { recursive: true, force: true });
    }
  };

  it('whose reading takes too much memory, or ends its process, is refused, and nobody else is held up', async () => {
    const greedy =
      "process.on('message', () => { const all = []; setInterval(() => all.push(Buffer.alloc(60e6, 1)), 20); });";
    expect(await withPart(greedy)).toContain('too much memory');
    expect(await withPart("process.on('message', () => process.exit(3));")).toContain('could not be read');
    await world.upload('/api/sites/tolvane/assets', await tinyPicture()).expect(200);
  });
});

describe('tries', () => {
  it('count before they are checked: of many at once no more are checked than may be', async () => {
    const attempts = world.app.get(AttemptsService);
    let checked = 0;
    const answers = await Promise.allSettled(
      Array.from({ length: 40 }, (_, i) =>
        attempts.ofPassword('raced@tolvane.example', '10.1.1.1', async () => {
          checked++;
          await new Promise(resolve => setTimeout(resolve, 20));
          return i === 39 ? 'in' : null;
        }),
      ),
    );
    expect(checked).toBeLessThanOrEqual(10);
    expect(answers.some(it => it.status === 'fulfilled' && it.value === 'in')).toBe(false);
  });

  it('that were right do not count', async () => {
    const attempts = world.app.get(AttemptsService);
    for (let i = 0; i < 30; i++)
      expect(await attempts.ofPassword('right@tolvane.example', '10.1.1.2', async () => 'in')).toBe('in');
  });

  it('of one stranger keep nobody else from asking for a letter', async () => {
    const attempts = world.app.get(AttemptsService);
    const ask = (from: string) =>
      attempts.ofLetter('ines@tolvane.example', from).then(
        () => true,
        () => false,
      );
    for (let i = 0; i < 5; i++) expect(await ask('10.2.2.1')).toBe(true);
    expect(await ask('10.2.2.1')).toBe(false);
    expect(await ask('10.2.2.2')).toBe(true);
  });
});

describe('every answer', () => {
  const SAFE = ['x-content-type-options', 'referrer-policy', 'content-security-policy'];
  it('of the program carries its headers, and private ones are kept nowhere', async () => {
    for (const [path, status] of [
      ['/api/health', 200],
      ['/api/sites', 200],
      ['/api/nothing', 404],
      ['//', 404],
      ['/api/sites/none', 404],
      ['/%', 400],
    ] as const) {
      const response = await world.get(path);
      expect([path, response.status]).toEqual([path, status]);
      for (const name of SAFE)
        expect([path, name, typeof response.headers[name]]).toEqual([path, name, 'string']);
      if (path.startsWith('/api'))
        expect([path, response.headers['cache-control']]).toEqual([path, 'no-store']);
    }
    const refused = await post('/api/session', large(10_000));
    for (const name of SAFE) expect(typeof refused.headers[name]).toBe('string');
  });

  it('of the sites carries them too, and nothing there is remembered by a browser', async () => {
    await release('tolvane', true);
    const base = `http://127.0.0.1:${world.app.get(SitesHost).port}`;
    for (const [path, method, status] of [
      ['/tolvane/', 'GET', 200],
      ['/tolvane/nothing', 'GET', 404],
      ['//', 'GET', 404],
      ['/%00/', 'GET', 404],
      ['/tolvane/', 'POST', 405],
    ] as const) {
      const response = await fetch(base + path, { method });
      expect([path, response.status]).toEqual([path, status]);
      for (const name of SAFE) expect([path, name, response.headers.has(name)]).toEqual([path, name, true]);
      expect(response.headers.getSetCookie()).toEqual([]);
      expect(response.headers.get('content-security-policy')).toContain("default-src 'none'");
      expect(await response.text()).not.toMatch(
        /<script(?! type="module" src="[^"]*behaviours\/)|localStorage|indexedDB/i,
      );
    }
  });

  it('of the sites lets scripts run from the modules of the same site alone', async () => {
    await release('tolvane', true);
    const base = `http://127.0.0.1:${world.app.get(SitesHost).port}`;
    const response = await fetch(`${base}/tolvane/sailings/`);
    const policy = response.headers.get('content-security-policy') ?? '';
    const [, from = ''] = /script-src (\S+);/.exec(policy) ?? [];
    expect(from).toMatch(/^http:\/\/[^/]+\/tolvane\/behaviours\/$/);
    const [, src = ''] = /<script type="module" src="([^"]+)"><\/script>/.exec(await response.text()) ?? [];
    const module = await fetch(new URL(src, `${base}/tolvane/sailings/`));
    expect([module.status, module.headers.get('content-type')]).toEqual([
      200,
      'text/javascript; charset=utf-8',
    ]);
    expect(new URL(src, `${new URL(from).origin}/tolvane/sailings/`).href.startsWith(from)).toBe(true);
    expect((await fetch(`${base}/nobody/`)).headers.get('content-security-policy')).not.toContain(
      'script-src',
    );
  });

  it.each<[string, string, number]>([
    ['is no HTTP', 'LEAP over/there\r\n\r\n', 400],
    ['has headers without an end', `GET / HTTP/1.1\r\nhost: x\r\nx: ${'y'.repeat(40_000)}\r\n\r\n`, 431],
  ])('to what %s carries them as well, on both hosts', async (_, text, status) => {
    for (const port of [Number(new URL(ORIGIN).port), world.app.get(SitesHost).port]) {
      const answer = await new Promise<string>((resolve, reject) => {
        let all = '';
        const socket = connect(port, '127.0.0.1', () => socket.write(text));
        socket.on('data', data => {
          all += data;
        });
        socket.on('close', () => resolve(all));
        socket.on('error', reject);
      });
      expect(answer).toContain(`HTTP/1.1 ${status}`);
      for (const name of SAFE) expect(answer.toLowerCase()).toContain(`${name}: `);
    }
  });

  it.each([
    ['the program', () => ORIGIN],
    ['the sites', () => `http://127.0.0.1:${world.app.get(SitesHost).port}`],
  ])('of %s is for those who call it by its name', async (_, address) => {
    const { port } = new URL(address());
    const status = await new Promise<number | undefined>((resolve, reject) => {
      plainRequest(
        { port, host: '127.0.0.1', path: '/api/outbox/open', headers: { host: 'evil.example' } },
        response => {
          response.resume();
          resolve(response.statusCode);
        },
      )
        .on('error', reject)
        .end();
    });
    expect(status).toBe(421);
  });

  it('of health says 503 where the database is away', async () => {
    const nowhere = Object.assign(Object.create(world.config), {
      COVE_DATABASE_URL: 'postgres://nobody:x@127.0.0.1:1/none',
    });
    const controller = new HealthController(nowhere);
    await expect(controller.health()).rejects.toMatchObject({ status: 503 });
    await controller.onModuleDestroy();
  });
});

describe('what PostgreSQL or JavaScript cannot hold', () => {
  const BAD = [
    '\u0000',
    'a\u0000b',
    '\ud800',
    'x\udfffy',
    1e308,
    -1,
    2 ** 60,
    2 ** 31,
    [],
    {},
    null,
    true,
    'x'.repeat(3000),
    '__proto__',
    '\u202e',
  ];
  const IN_PATH = [
    '%00',
    '%',
    '%C0%80',
    '%ED%A0%80',
    'x'.repeat(3000),
    '..%2f..',
    '__proto__',
    '-'.repeat(36),
    '%F0%9F%9A%A2',
  ];

  it('is answered with 4xx in every path, query and body of every route', async () => {
    const { paths, components } = (await world.get('/api/openapi.json').expect(200)).body;
    const failed: unknown[] = [];
    let sent = 0;
    const look = async (method: string, path: string, body?: object | string) => {
      sent++;
      const call = request(world.http)
        [method as 'get' | 'post' | 'put' | 'delete'](path)
        .set('origin', ORIGIN)
        .set('cove-schema', String(SCHEMA))
        .set('cookie', world.demo);
      const { status } = body === undefined ? await call : await call.type('application/json').send(body);
      if (status >= 500) failed.push([status, method, path.slice(0, 120), body]);
    };
    for (const [path, methods] of Object.entries<Record<string, Operation>>(paths)) {
      for (const [method, { parameters = [], requestBody }] of Object.entries(methods)) {
        if (
          path.endsWith('/events') ||
          path === '/api/session' ||
          path.endsWith('/sessions') ||
          path.endsWith('members/me')
        )
          continue;
        const good = path
          .replace('{site}', 'tolvane')
          .replace('{page}', 'home')
          .replace(/\{\w+\}/g, 'nothing');
        for (const { name, in: where } of parameters) {
          if (where === 'path')
            for (const bad of IN_PATH)
              await look(
                method,
                path
                  .replace(`{${name}}`, bad)
                  .replace('{site}', 'tolvane')
                  .replace(/\{\w+\}/g, 'nothing'),
                method === 'get' ? undefined : {},
              );
          if (where === 'query')
            for (const bad of [...IN_PATH, '1e308', '-1', '9007199254740993', '2147483648'])
              await look(method, `${good}?${name}=${bad}`);
        }
        const name = requestBody?.content?.['application/json']?.schema?.$ref?.split('/').at(-1);
        const fields = Object.keys(name ? (components.schemas[name].properties ?? {}) : {});
        for (const field of fields)
          for (const bad of BAD)
            await look(method, good, {
              ...Object.fromEntries(fields.map(it => [it, 'tolvane'])),
              [field]: bad,
            });
      }
    }
    expect(failed).toEqual([]);
    expect(sent).toBeGreaterThan(800);
  });

  it('is named by its field', async () => {
    const { body } = await world.send('put', '/api/account/name', { name: 'Ines \u0000' }).expect(400);
    expect(body).toMatchObject({ code: 'bad-text', path: 'name' });
    const inside = await world.change([
      { op: 'set', id: 'book', path: ['content', 'label'], value: 'half \ud800' },
    ]);
    expect(inside.body).toMatchObject({ code: 'bad-text', path: 'edits.0.value' });
    const query = await world.get('/api/sites/tolvane/changes?after=%00').expect(400);
    expect(query.body.path).toBe('query after');
  });

  it('in headers is answered too', async () => {
    for (const [name, value] of [
      ['last-event-id', '99999999999999'],
      ['cookie', 'cove-session=%00'],
      ['user-agent', '\u00ff'.repeat(3000)],
    ] as const) {
      const { status } = await request(world.http).get('/api/session').set(name, value);
      expect([name, status]).toEqual([name, 401]);
    }
  });
});

interface Operation {
  parameters?: { name: string; in: string }[];
  requestBody?: { content?: Record<string, { schema?: { $ref?: string } }> };
}

describe('a name that every object answers to', () => {
  it.each([
    [{ op: 'set', id: 'book', path: ['constructor'], value: 'x' }],
    [{ op: 'set', id: 'book', path: ['__proto__', 'off'], value: true }],
    [{ op: 'set', id: 'book', path: ['content', '__proto__'], value: 'x' }],
    [{ op: 'unset', id: 'book', path: ['toString'] }],
    [{ op: 'put', record: { id: 'constructor', kind: 'note', name: 'N', order: 'V', text: '' } }],
    [{ op: 'put', record: { id: 'odd', kind: 'constructor' } }],
    [{ op: '__proto__', id: 'book' }],
  ])('is no field, no kind and no id: %j', async edit => {
    const keeper = await world.member('keeper', 'content');
    for (const cookie of [world.demo, keeper]) {
      const { status } = await world.change([edit], { cookie });
      expect([status >= 400 && status < 500]).toEqual([true]);
    }
  });
});

describe('of releases that overlap', () => {
  it('the one that was asked for last is what visitors see, whichever is ready first', async () => {
    const { body: made } = await world
      .send('post', '/api/sites', { name: 'Tide', starter: 'bare' })
      .expect(200);
    const numbers = await Promise.all(
      [1, 2, 3].map(() => world.send('post', `/api/sites/${made.id}/releases`, {}).expect(202)),
    );
    const last = Math.max(...numbers.map(it => it.body.number));
    for (;;) {
      const { body } = await world.get(`/api/sites/${made.id}/releases`);
      if (!body.releases.every((it: { state: string }) => it.state === 'done')) {
        await new Promise(resolve => setTimeout(resolve, 100));
        continue;
      }
      expect(body.releases.find((it: { live: boolean }) => it.live).number).toBe(last);
      break;
    }
    // One that was ready late and asked for early changes nothing.
    const [first] = numbers;
    await world.database.query("update releases set state = 'waiting' where id = $1", [
      numbers.find(it => it.body.number === 1)?.body.id ?? first?.body.id,
    ]);
    const { Workshop } = await import('../src/work/workshop.service');
    await world.app
      .get(Workshop)
      .run('publish', { release: numbers.find(it => it.body.number === 1)?.body.id });
    const { body } = await world.get(`/api/sites/${made.id}/releases`);
    expect(body.releases.find((it: { live: boolean }) => it.live).number).toBe(last);
  });
});

describe('a release that cannot be written', () => {
  it('is tried again, and is there once it can be', async () => {
    const { body: made } = await world
      .send('post', '/api/sites', { name: 'Ebb', starter: 'bare' })
      .expect(200);
    // Where its folder should be lies a file.
    const folder = join(world.config.COVE_DATA, 'releases', made.id);
    mkdirSync(join(world.config.COVE_DATA, 'releases'), { recursive: true });
    writeFileSync(folder, '');
    await world.send('post', `/api/sites/${made.id}/releases`, {}).expect(202);
    const state = async () => (await world.get(`/api/sites/${made.id}/releases`)).body.releases[0];
    const until = async (wanted: (it: { state: string; problem: string | null }) => boolean) => {
      for (let it = await state(); ; it = await state()) {
        if (wanted(it)) return it;
        await new Promise(resolve => setTimeout(resolve, 50));
      }
    };
    expect(await until(it => it.problem !== null)).toMatchObject({
      state: 'waiting',
      problem: expect.stringContaining('tried again'),
    });
    rmSync(folder);
    expect(await until(it => it.state === 'done')).toMatchObject({ live: true, problem: null });
  });
});

describe('telling many what happened', () => {
  it('writes to each at most once a tick, and reads each change once', async () => {
    let statements = 0;
    let rows = 0;
    const query = (async () => {
      statements++;
      return Array.from({ length: rows }, (_, i) => ({
        seq: i + 1,
        id: `c${i}`,
        base: 0,
        edits: '[]',
        by: 'Ines',
        schema: SCHEMA,
        resets: null,
      }));
    }) as Query;
    const feed = new SiteFeed('tolvane', query, 0, error => {
      throw error;
    });
    const writes = new Map<number, number>();
    const heard = new Map<number, string>();
    for (let i = 0; i < 200; i++) {
      const response = {
        writableLength: 0,
        write: (bytes: Buffer) => {
          writes.set(i, (writes.get(i) ?? 0) + 1);
          heard.set(i, (heard.get(i) ?? '') + bytes.toString());
        },
        destroy: () => {},
      };
      feed.streams.add({ account: 'a', session: 's', response, sent: 0, busy: false } as unknown as Stream);
    }
    rows = 60;
    for (let i = 0; i < 60; i++) {
      feed.pull();
      feed.announce('presence', [i]);
    }
    await new Promise(resolve => setTimeout(resolve, TICK * 4));
    feed.close();
    expect(statements).toBe(1);
    expect(new Set(writes.values())).toEqual(new Set([1]));
    const first = heard.get(0) ?? '';
    expect(first.match(/event: change/g)).toHaveLength(60);
    expect(first.match(/event: presence/g)).toHaveLength(60);
    expect(new Set(heard.values()).size).toBe(1);
  });
});

describe('another process', () => {
  it('may be told the database as postgresql://', async () => {
    const two = await startProcess('hold-two', world.url.replace('postgres://', 'postgresql://'));
    await request(two.http).get('/api/health').expect(200);
    await two.close();
  });
});
