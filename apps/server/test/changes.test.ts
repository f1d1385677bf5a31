import type { Edit, SiteRecord } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Database } from '../src/common/database';
import { acceptChanges } from '../src/sites/acceptChange';
import { StoredFiles } from '../src/storage/storedFiles';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('changes');
});
afterAll(() => world.close());

const red = { type: 'color', value: { space: 'oklch', coords: [0.6, 0.2, 25], alpha: 1 } };

describe('a change', () => {
  it('is kept in the record, and counted', async () => {
    const before = (await world.get('/api/sites/tolvane')).body;
    const { body } = await world.change([{ op: 'set', id: 'hull', path: ['value'], value: red }]).expect(200);
    expect(body).toEqual({ seq: before.seq + 1, dropped: [] });
    expect(await world.record('hull')).toMatchObject({ value: red });
  });

  it('is accepted once under one id, and refused under the same id with other edits', async () => {
    const edits = [{ op: 'set', id: 'hull', path: ['name'], value: 'Keel' }];
    const first = await world.change(edits, { id: 'once-only-1' }).expect(200);
    const again = await world.change(edits, { id: 'once-only-1' }).expect(200);
    expect(again.body.seq).toBe(first.body.seq);
    await world
      .change([{ op: 'set', id: 'hull', path: ['name'], value: 'Hull' }], { id: 'once-only-1' })
      .expect(409);
    expect(await world.record('hull')).toMatchObject({ name: 'Keel' });
  });

  it('drops an edit whose record is gone and keeps the rest', async () => {
    const { body } = await world
      .change([
        { op: 'set', id: 'nobody', path: ['name'], value: 'x' },
        { op: 'set', id: 'hull', path: ['name'], value: 'Hull' },
      ])
      .expect(200);
    expect(body.dropped).toEqual([0]);
    expect(await world.record('hull')).toMatchObject({ name: 'Hull' });
  });

  it.each([
    [
      'a reference into nothing',
      [{ op: 'set', id: 'hull', path: ['value'], value: { type: 'token', token: 'nobody' } }],
      { code: 'dangling', record: 'hull', path: 'value', found: 'nobody' },
    ],
    [
      'a token that follows itself',
      [{ op: 'set', id: 'hull', path: ['value'], value: { type: 'token', token: 'hull-deep' } }],
      { code: 'circular', record: 'hull', path: 'value' },
    ],
    [
      'a token of another type',
      [{ op: 'set', id: 'corner-card', path: ['value'], value: { type: 'token', token: 'hull' } }],
      { code: 'wrong-type', record: 'corner-card', expected: 'the id of a token of type dimension' },
    ],
    [
      'a value out of range',
      [
        { op: 'set', id: 'dogs', path: ['styles', 'box/opacity'], value: { type: 'number', value: 3 } },
        {
          op: 'set',
          id: 'feature-dogs',
          path: ['styles', 'box/opacity'],
          value: { type: 'number', value: 3 },
        },
      ],
      { code: 'bad-field', record: 'feature-dogs', path: 'styles.box/opacity' },
    ],
    [
      'a group inside itself',
      [{ op: 'set', id: 'welcome-pair', path: ['at'], value: { parent: 'welcome-words', order: 'V' } }],
      { code: 'circular', record: 'welcome-pair', path: 'at.parent' },
    ],
    [
      'a widget inside a button',
      [{ op: 'set', id: 'today', path: ['at'], value: { parent: 'book', order: 'V' } }],
      { code: 'bad-parent', record: 'today' },
    ],
    ['the removal of what is used', [{ op: 'remove', id: 'rope' }], { code: 'in-use', found: 'rope' }],
    [
      'two pages at one address',
      [{ op: 'set', id: 'fares', path: ['path'], value: 'islands' }],
      { code: 'address-taken', record: 'fares', found: 'islands' },
    ],
    [
      'a taken id',
      [
        {
          op: 'put',
          record: {
            id: 'hull',
            kind: 'token',
            type: 'number',
            name: 'x',
            group: 'y',
            order: 'V',
            value: { type: 'number', value: 1 },
          },
        },
      ],
      { code: 'id-taken', record: 'hull' },
    ],
    [
      'an unknown field',
      [{ op: 'set', id: 'hull', path: ['secret'], value: 1 }],
      { code: 'bad-field', path: 'secret', expected: 'no such field' },
    ],
  ])('is refused whole for %s, naming record, path, found and expected', async (_, edits, problem) => {
    const before = (await world.get('/api/sites/tolvane')).body.seq;
    const { body, status } = await world.change([
      { op: 'set', id: 'lamp', path: ['name'], value: 'Changed' },
      ...edits,
    ]);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(body).toMatchObject(problem);
    expect((await world.get('/api/sites/tolvane')).body.seq).toBe(before);
    expect(await world.record('lamp')).toMatchObject({ name: 'Lamp' });
  });

  it('takes what stands inside with a removal, once nothing else mentions it', async () => {
    await world.change([{ op: 'remove', id: 'before' }]).expect(200);
    expect(await world.record('feature-dogs')).toBeUndefined();
    const left: { from_id: string }[] = await world.database.query(
      "select from_id from record_references where site_id = 'tolvane' and from_id = 'feature-dogs'",
    );
    expect(left).toEqual([]);
  });

  it('that shares a transaction with others is taken or refused as if it came alone', async () => {
    const rows: { id: string }[] = await world.database.query(
      "select id from accounts where email = 'demo@tolvane.example'",
    );
    const group = (id: string, parent: string): Edit => ({
      op: 'put',
      record: {
        ...{ id, kind: 'widget', widget: 'group', at: { parent, order: 'V' } },
        ...{ content: {}, variants: {}, wears: {}, styles: {} },
      } as SiteRecord,
    });
    const change = (id: string, ...edits: Edit[]) => ({
      site: 'tolvane',
      account: rows[0]?.id ?? '',
      id: `shared-${id}`,
      base: 0,
      edits,
    });
    const results = await world.app
      .get(Database)
      .transaction(query =>
        acceptChanges(query, world.app.get(StoredFiles), 'tolvane', [
          change('outer', group('outer', 'crossing')),
          change('inner', group('inner', 'outer')),
          change('astray', group('astray', 'nowhere')),
          change('inner', group('inner', 'outer')),
          change('inner', group('other', 'outer')),
          change('used', { op: 'set', id: 'outer', path: ['at'], value: { parent: 'inner', order: 'V' } }),
          change('stay', group('stay', 'crossing')),
          change('gone', { op: 'remove', id: 'outer' }),
        ]),
      );
    expect(results.map(it => (it.ok ? 'ok' : it.problem.code))).toEqual([
      ...['ok', 'ok', 'dangling', 'ok', 'id-reused', 'circular', 'ok', 'ok'],
    ]);
    const [outer, inner, , again, , , stay, gone] = results.map(it => (it.ok ? it.value.seq : 0));
    expect([inner, again, stay, gone]).toEqual([(outer ?? 0) + 1, inner, (outer ?? 0) + 2, (outer ?? 0) + 3]);
    expect(await world.record('stay')).toBeDefined();
    for (const id of ['outer', 'inner', 'astray', 'other']) expect(await world.record(id)).toBeUndefined();
    const [count]: { wrong: number }[] = await world.database.query(
      "select (select count(*)::int from records where site_id = s.id) - s.records as wrong from sites s where id = 'tolvane'",
    );
    expect(count?.wrong).toBe(0);
    const left: unknown[] = await world.database.query(
      "select 1 from record_references where site_id = 'tolvane' and from_id in ('outer', 'inner')",
    );
    expect(left).toEqual([]);
    const site: { seq: number; records: SiteRecord[] } = (await world.get('/api/sites/tolvane')).body;
    const log: { seq: number }[] = (await world.get(`/api/sites/tolvane/changes?after=${(outer ?? 1) - 1}`))
      .body;
    expect(log.map(it => it.seq)).toEqual([outer, inner, stay, gone]);
    expect(site.seq).toBe(gone);
  });

  it('keeps the table of references equal to what the records say', async () => {
    await world
      .change([
        { op: 'set', id: 'today', path: ['content', 'link'], value: { type: 'page', page: 'islands' } },
      ])
      .expect(200);
    const rows: { to_id: string }[] = await world.database.query(
      "select to_id from record_references where from_id = 'today' and path = 'content.link'",
    );
    expect(rows).toEqual([{ to_id: 'islands' }]);
  });
});
