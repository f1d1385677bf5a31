import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
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
