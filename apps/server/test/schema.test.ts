import { SCHEMA, type SiteRecord } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { Database } from '../src/common/database';
import { afterwards, listBackups, restoreBackup } from '../src/schema/backups';
import { SiteUpgrades } from '../src/schema/siteUpgrades.service';
import { createDatabaseOfSchema1, schema1 } from './support/schema1';
import { listen } from './support/stream';
import { ORIGIN, startProcess, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startProcess('schemas', await createDatabaseOfSchema1('schemas'));
});
afterAll(() => world.close());

const [first, , , last]: { id: string; edits: Record<string, unknown>[] }[] = schema1('pending');
const siteRow = async () => {
  const [row] = await world.database.query(
    'select seq, schema, reset_at as "resetAt", records from sites where id = $1',
    ['tolvane'],
  );
  return row;
};
const send = (body: object) => world.send('post', '/api/sites/tolvane/changes', body);
const book = () => world.record('book');

describe('a site of an earlier schema', () => {
  it('is upgraded before anybody is answered, by a change with a number of its own', async () => {
    expect(await siteRow()).toMatchObject({
      seq: 3,
      schema: SCHEMA,
      resetAt: 3,
      // Three entries of a list and three rows of a table have become things of their own.
      records: schema1('site').length + 6,
    });
    expect(await world.record('fares-with-item0')).toMatchObject({ widget: 'listItem' });
    expect(await world.record('sailings-table-item2')).toMatchObject({ at: { parent: 'sailings-table' } });
    expect(await book()).toMatchObject({ declarations: { 'box/tab-size': '4' } });
    const { body } = await world.get('/api/sites/tolvane/changes?after=2').expect(200);
    expect(body).toEqual([
      expect.objectContaining({ seq: 3, schema: SCHEMA, resets: 'upgrade', by: null, base: 2 }),
    ]);
    expect(body[0].edits).toContainEqual({
      op: 'set',
      id: 'book',
      path: ['declarations'],
      value: { 'box/tab-size': '4' },
    });
    expect(body[0].edits).toContainEqual({ op: 'unset', id: 'before', path: ['declarations'] });
  });

  it('is upgraded once', async () => {
    await world.app.get(SiteUpgrades).run();
    expect((await siteRow()).seq).toBe(3);
  });

  it('is backed up before, as it was', async () => {
    const backups = await listBackups(world.app.get(Database).query);
    expect(backups).toMatchObject([{ site: 'tolvane', schema: 1, seq: 2 }]);
    expect(backups[0]?.reason).toContain('Declarations');
  });

  it('takes edits of what could not be edited before', async () => {
    await world
      .change([{ op: 'set', id: 'book', path: ['declarations', 'box/tab-size'], value: '3' }])
      .expect(200);
    expect(await book()).toMatchObject({ declarations: { 'box/tab-size': '3' } });
  });

  it('resets whoever had it open before, and replays to whoever has it as it is since', async () => {
    const headers = { cookie: world.demo };
    const events = (after: number) =>
      listen(`${world.address}/api/sites/tolvane/events?after=${after}`, headers);
    const before = await events(2);
    await before.next('reset');
    await before.close();
    const since = await events(3);
    await since.next('change');
    expect(since.events.some(it => it.event === 'reset')).toBe(false);
    await since.close();
  });
});

describe('a change that waited since an earlier schema', () => {
  it('is known again by the edits that were sent, if it had arrived', async () => {
    const again = { id: `waited-${first?.id}`, base: 1, schema: 1, edits: first?.edits };
    expect((await send(again).expect(200)).body).toMatchObject({ seq: 2 });
    const other = { ...again, edits: [{ op: 'set', id: 'lamp', path: ['name'], value: 'X' }] };
    expect((await send(other).expect(409)).body.code).toBe('id-reused');
  });

  it('is upgraded, and known again as it was sent', async () => {
    const change = { id: 'waited-tab-4', base: 2, schema: 1, edits: last?.edits };
    const { body } = await send(change).expect(200);
    expect(await book()).toMatchObject({ declarations: { 'box/tab-size': '8' } });
    expect(await world.record('today')).toBeUndefined();
    expect((await send(change).expect(200)).body.seq).toBe(body.seq);
    const [row] = await world.database.query('select edits, sent, schema from changes where id = $1', [
      change.id,
    ]);
    expect(row).toMatchObject({ schema: SCHEMA, sent: last?.edits });
    expect(JSON.stringify(row.edits)).not.toContain('border-image');
  });

  it('is taken though nothing is left of it', async () => {
    const { seq } = await siteRow();
    const change = { id: 'waited-tab-1b', base: 2, schema: 1, edits: first?.edits };
    expect((await send(change).expect(200)).body.seq).toBe(seq + 1);
  });

  it('is refused like any other where it cannot be read, and one of a schema to come waits', async () => {
    const wrong = { id: 'waited-wrong', base: 2, schema: 1, edits: [{ op: 'put', record: { id: 'x' } }] };
    expect((await send(wrong)).status).toBe(422);
    const none = {
      id: 'waited-none',
      base: 2,
      schema: 1,
      edits: ['x', null, { op: 'set', id: '\\', path: [1] }],
    };
    expect((await send(none)).status).toBe(422);
    const later = { id: 'waited-later', schema: SCHEMA + 1, edits: [{ op: 'new' }] };
    expect((await send(later).expect(503)).body.code).toBe('renewed');
  });
});

describe('what was kept under an earlier schema', () => {
  const snapshots = async () => {
    const { body } = await world.get('/api/sites/tolvane/snapshots').expect(200);
    return new Map<string, string>(body.map((it: { note: string; id: string }) => [it.note, it.id]));
  };
  const restore = async (note: string, body: object = {}) =>
    world
      .send('post', `/api/sites/tolvane/snapshots/${(await snapshots()).get(note)}/restore`, body)
      .expect(200);

  it('a snapshot is gone back to whole', async () => {
    const { body } = await restore('As it was');
    expect(body.unread).toEqual([]);
    expect(await world.record('today')).toBeDefined();
    expect(await book()).toMatchObject({ declarations: { 'box/tab-size': '4' } });
  });

  it('of a snapshot what cannot be read is told, and stays at the site as it is', async () => {
    const title = await world.record('before-title');
    await world.change([{ op: 'set', id: 'lamp', path: ['name'], value: 'Lantern' }]).expect(200);
    const { body } = await restore('With a riddle');
    expect(body.unread).toEqual([
      expect.stringMatching(/^widget before-title: ./),
      expect.stringMatching(/^widget riddle: ./),
    ]);
    expect(await world.record('before-title')).toEqual(title);
    expect(await world.record('lamp')).toMatchObject({ name: 'Lamp' });
    expect([...(await snapshots()).keys()]).toContain('With a riddle');
  });

  it('nor is it taken away where the guide alone is gone back to', async () => {
    const role = await world.record('ownRole');
    await world.change([{ op: 'set', id: 'lamp', path: ['name'], value: 'Lantern' }]).expect(200);
    const { body } = await restore('With a riddle in the guide', { part: 'guide' });
    expect(body.unread).toEqual([expect.stringMatching(/^role ownRole: ./)]);
    expect(await world.record('ownRole')).toEqual(role);
    expect(await world.record('lamp')).toMatchObject({ name: 'Lamp' });
  });

  it('and is named where that guide is looked at in parts, so that no part takes it away', async () => {
    const id = (await snapshots()).get('With a riddle in the guide');
    const guide = (await world.get(`/api/sites/tolvane/snapshots/${id}/guide`).expect(200)).body;
    expect(guide.unread).toEqual(['ownRole']);
  });

  it('a guide is read whole', async () => {
    const { body } = await world.get('/api/guides').expect(200);
    const guide = (await world.get(`/api/guides/${body[0].id}`).expect(200)).body;
    expect(guide.records).toHaveLength(schema1('guide').records.length);
    expect(JSON.stringify(guide)).not.toContain('grid-gap');
  });

  it('sections are read, and one that cannot be is still listed', async () => {
    const { body } = await world.get('/api/sections').expect(200);
    expect(body).toMatchObject([
      { name: 'Before you sail', clip: { schema: SCHEMA } },
      { name: 'Riddle', clip: null },
    ]);
  });
});

describe('a page of another version of the program', () => {
  const asks = (path: string, schema?: string) => {
    const call = request(world.http).get(path).set('cookie', world.demo);
    return schema === undefined ? call : call.set('cove-schema', schema);
  };

  it.each(['/api/sites/tolvane', '/api/sites/tolvane/changes', '/api/sites/tolvane/events', '/api/sections'])(
    'is told to reload by %s',
    async path => {
      for (const schema of [undefined, '1', String(SCHEMA + 1)]) {
        const { status, body } = await asks(path, schema);
        expect([status, body.code]).toEqual([503, 'renewed']);
        expect(body.message).toContain('Reload');
      }
    },
  );

  it('cannot send what this one would misread', async () => {
    const { body } = await request(world.http)
      .post('/api/sites/tolvane/changes')
      .set('cookie', world.demo)
      .set('origin', ORIGIN)
      .send({ id: 'old-page-change', edits: [{ op: 'set', id: 'lamp', path: ['name'], value: 'X' }] })
      .expect(503);
    expect(body.code).toBe('renewed');
  });

  it('is answered where no records are carried, unless it says that it is another', async () => {
    await asks('/api/session').expect(200);
    await asks('/api/session', '1').expect(503);
    await asks('/api/session', 'x').expect(400);
  });
});

describe('a backup', () => {
  const database = () => world.app.get(Database);
  const restore = (id: string) => database().transaction(query => restoreBackup(query, id));

  it('is restored as it was, under the schema it had; what was there is backed up first', async () => {
    const { seq } = await siteRow();
    const [{ id } = { id: '' }] = (await listBackups(database().query)).filter(it => it.schema === 1);
    const restored = await restore(id);
    expect(restored).toMatchObject({ seq: seq + 1, before: { schema: SCHEMA, seq } });
    const rows: { body: SiteRecord }[] = await world.database.query(
      "select body from records where site_id = 'tolvane' order by id",
    );
    const was = [...schema1('site')].sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(rows.map(it => it.body)).toEqual(was);
    expect(await siteRow()).toMatchObject({ seq: seq + 1, schema: 1, resetAt: seq + 1, records: was.length });
    expect(afterwards(1)).toContain('upgrades it again');
  });

  it('of an earlier schema is neither read nor altered by this version until it is upgraded again', async () => {
    expect((await world.get('/api/sites/tolvane').expect(503)).body.code).toBe('not-upgraded');
    const { body } = await world.change([{ op: 'set', id: 'lamp', path: ['name'], value: 'X' }]).expect(503);
    expect(body.code).toBe('not-upgraded');
    await world.app.get(SiteUpgrades).run();
    await world.get('/api/sites/tolvane').expect(200);
    await world.change([{ op: 'set', id: 'lamp', path: ['name'], value: 'Lamp' }]).expect(200);
  });

  it('taken before a restore brings back what was there, references and all', async () => {
    const references = () =>
      world.database.query(
        "select concat_ws(' ', from_id, path, to_id) as key from record_references where site_id = 'tolvane' order by 1",
      );
    const wanted = await references();
    const records = (await world.get('/api/sites/tolvane').expect(200)).body.records;
    const [newest] = await listBackups(database().query);
    await restore(newest?.id ?? '');
    const again = (await listBackups(database().query)).find(it => it.reason.startsWith('Before the backup'));
    await restore(again?.id ?? '');
    expect((await siteRow()).schema).toBe(SCHEMA);
    expect(await references()).toEqual(wanted);
    const now = (await world.get('/api/sites/tolvane').expect(200)).body.records;
    expect(new Set(now.map((it: SiteRecord) => JSON.stringify(it)))).toEqual(
      new Set(records.map((it: SiteRecord) => JSON.stringify(it))),
    );
  });

  it('that is none is told', async () => {
    expect(await restore('nothing')).toBeNull();
  });
});
