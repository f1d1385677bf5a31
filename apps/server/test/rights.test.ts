import { allRecords, type Edit, elementNamed, isItem, type Right, type SiteRecord } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld, type World } from './support/world';

let world: World;
const cookies = new Map<string, string>();
/** A picture of the demo, as it is stored. */
let stored: SiteRecord;
beforeAll(async () => {
  world = await startWorld('rights');
  cookies.set('designer', world.demo);
  cookies.set('keeper', await world.member('keeper'));
  cookies.set('reviewer', await world.member('reviewer'));
  cookies.set('stranger', await world.stranger());
  stored = (await world.record(found('asset').id)) ?? found('asset');
});
afterAll(() => world.close());

const demo = tolvane(() => 'abcdef0123456789.webp');
const found = <K extends SiteRecord['kind']>(kind: K): SiteRecord => {
  const [record] = demo.kinds[kind].values();
  if (!record) throw new Error(`the demo has no ${kind}`);
  return record;
};
const color = { type: 'color', value: { space: 'oklch', coords: [0.5, 0.1, 20], alpha: 1 } };
const widget = demo.kinds.widget.get('book');
const entry = demo.kinds.widget.get('asked-late');
if (!widget || !entry) throw new Error('the demo has no such button or entry');

/** Widgets that hold nothing and set nothing, far more than are removed here. */
const leaves = [...demo.kinds.widget.values()]
  .filter(it => Object.keys(it.styles).length === 0 && !demo.children.has(it.id) && it.id !== 'book')
  // How many entries something has, and what stands in them, is what it says.
  .filter(it => !isItem(elementNamed(it.widget)))
  .filter(it => {
    const holder = demo.kinds.widget.get(it.at.parent);
    return !holder || !isItem(elementNamed(holder.widget));
  })
  .map(it => it.id);

/** Every kind of edit: what it does, and the right it needs. Each can be accepted from one who has that right. */
const EDITS: [string, Right, (n: number) => Record<string, unknown> | Edit][] = [
  ['a text', 'content', n => ({ op: 'set', id: 'book', path: ['content', 'label'], value: `Book ${n}` })],
  ['a page’s title', 'content', n => ({ op: 'set', id: 'fares', path: ['title'], value: `Fares ${n}` })],
  ['a section’s name', 'content', n => ({ op: 'set', id: 'welcome', path: ['name'], value: `Welcome ${n}` })],
  [
    'a picture’s text',
    'content',
    n => ({ op: 'set', id: found('asset').id, path: ['alt'], value: `Boat ${n}` }),
  ],
  ['a new picture', 'content', n => ({ op: 'put', record: { ...stored, id: `asset-${n}` } })],
  ['a new entry', 'content', n => ({ op: 'put', record: { ...entry, id: `entry-${n}` } })],
  [
    'an entry moved among its like',
    'content',
    n => ({ op: 'set', id: entry.id, path: ['at'], value: { parent: entry.at.parent, order: `Z${n}V` } }),
  ],
  [
    'what waits for another widget',
    'choice',
    () => ({
      op: 'set',
      id: 'crossing-line',
      path: ['parked'],
      value: { divider: { content: { mark: null }, variants: {}, styles: {} } },
    }),
  ],
  [
    'a preset taken on',
    'choice',
    n => ({
      op: 'set',
      id: 'book',
      path: ['wears', `w${n}`],
      value: { preset: found('preset').id, order: 'V', on: false },
    }),
  ],
  ['a preset taken off', 'choice', n => ({ op: 'unset', id: 'book', path: ['wears', `w${n - 5}`] })],
  [
    'a scheme chosen',
    'choice',
    () => ({ op: 'set', id: 'welcome', path: ['scheme'], value: found('scheme').id }),
  ],
  ['a variant let go', 'choice', () => ({ op: 'unset', id: 'book', path: ['variants', 'size'] })],
  ['a new widget', 'choice', n => ({ op: 'put', record: { ...widget, id: `button-${n}`, wears: {} } })],
  [
    'an entry put below another',
    'content',
    n => ({
      op: 'set',
      id: 'fares-with-milk',
      path: ['at'],
      value: { parent: n % 2 ? 'fares-with-prams' : 'fares-with-bag', order: 'V' },
    }),
  ],
  ['a widget removed', 'choice', n => ({ op: 'remove', id: leaves[n % leaves.length] ?? '' })],
  [
    'a value set on one widget',
    'style',
    n => ({
      op: 'set',
      id: 'book',
      path: ['styles', 'box/opacity'],
      value: { type: 'number', value: (n % 90) / 100 },
    }),
  ],
  ['a value reset', 'style', () => ({ op: 'unset', id: 'book', path: ['styles', 'box/opacity'] })],
  ['a token rebound', 'style', () => ({ op: 'set', id: 'fares', path: ['rebind', 'hull'], value: color })],
  ['a token', 'guide', () => ({ op: 'set', id: 'hull', path: ['value'], value: color })],
  [
    'a new token',
    'guide',
    n => ({ op: 'put', record: { ...found('token'), id: `token-${n}`, name: `New ${n}` } }),
  ],
  [
    'a scheme’s role',
    'guide',
    () => ({
      op: 'set',
      id: found('scheme').id,
      path: ['roles', 'accent'],
      value: { type: 'token', token: 'lamp' },
    }),
  ],
  [
    'a text style',
    'guide',
    n => ({ op: 'set', id: found('textStyle').id, path: ['name'], value: `Style ${n}` }),
  ],
  [
    'a default',
    'guide',
    () => ({
      op: 'set',
      id: found('default').id,
      path: ['styles'],
      value: {},
    }),
  ],
  [
    'a variant',
    'guide',
    n => ({ op: 'set', id: found('variant').id, path: ['name'], value: `Variant ${n}` }),
  ],
  ['a preset', 'guide', n => ({ op: 'set', id: found('preset').id, path: ['name'], value: `Preset ${n}` })],
  ['a drawing', 'guide', n => ({ op: 'set', id: found('drawing').id, path: ['name'], value: `Mark ${n}` })],
  ['the site’s name', 'guide', n => ({ op: 'set', id: 'settings', path: ['name'], value: `Ferries ${n}` })],
];

const RIGHTS: readonly Right[] = ['content', 'choice', 'style', 'guide'];
const WHO = [
  ['stranger', 'style', null],
  ['reviewer', 'style', null],
  ['keeper', 'content', 'content'],
  ['keeper', 'choice', 'choice'],
  ['keeper', 'style', 'style'],
  ['designer', 'content', 'guide'],
] as const;

describe.each(WHO)('a %s of a site that gives keepers %s', (who, keeperMay, most) => {
  let n = 1000 + 101 * WHO.findIndex(it => it[0] === who && it[1] === keeperMay);
  beforeAll(async () => {
    await world.database.query("update sites set keeper_may = $1 where id = 'tolvane'", [keeperMay]);
  });
  it.each(EDITS)('may or may not change %s', async (_, right, make) => {
    const may = most !== null && RIGHTS.indexOf(right) <= RIGHTS.indexOf(most);
    const before = JSON.stringify(await everything());
    const { status, body } = await world.change([make(++n)], { cookie: cookies.get(who) ?? '' });
    if (may) expect([status, body.code]).toEqual([200, undefined]);
    else {
      expect([status, body.code]).toEqual(who === 'stranger' ? [404, 'not-found'] : [403, 'forbidden']);
      expect(JSON.stringify(await everything())).toBe(before);
    }
  });
});

const everything = () =>
  world.database.query("select body from records where site_id = 'tolvane' order by id");

describe('a change that mixes what one may and may not', () => {
  it('is refused whole, naming the record, the path and the right it lacks', async () => {
    await world.database.query("update sites set keeper_may = 'content' where id = 'tolvane'");
    const before = JSON.stringify(await everything());
    const { body } = await world
      .change(
        [
          { op: 'set', id: 'book', path: ['content', 'label'], value: 'Both' },
          { op: 'set', id: 'hull', path: ['name'], value: 'Both' },
        ],
        { cookie: cookies.get('keeper') ?? '' },
      )
      .expect(403);
    expect(body).toMatchObject({ record: 'hull', path: 'name', found: 'guide', expected: 'content' });
    expect(JSON.stringify(await everything())).toBe(before);
  });
});

it('the table has a line for every kind of record', () => {
  const kinds = new Set(
    EDITS.map(([, , make]) => {
      const edit = make(1);
      const record = 'record' in edit && typeof edit.record === 'object' ? edit.record : null;
      if (record && 'kind' in record) return record.kind;
      return [...allRecords(demo)].find(it => 'id' in edit && it.id === edit.id)?.kind;
    }),
  );
  for (const record of allRecords(demo)) expect(kinds).toContain(record.kind);
});
