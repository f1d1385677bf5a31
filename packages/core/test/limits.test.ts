import { describe, expect, it } from '@jest/globals';
import { reorder } from '../src/commands/order/order.ts';
import { readTokens } from '../src/incoming/index.ts';
import {
  allRecords,
  applyChange,
  duplicateToken,
  type Edit,
  type Id,
  isId,
  isOrderKey,
  KINDS,
  keysBetween,
  LIMITS,
  longestWays,
  must,
  type PresetRecord,
  parseDeclarations,
  parseTokenValue,
  placesAt,
  publishSite,
  type Result,
  type RoleRecord,
  readEdits,
  readRecord,
  type SectionRecord,
  type Site,
  type SiteRecord,
  scanJson,
  siteOf,
  stableText,
  type TokenRecord,
  unstorableIn,
  type WidgetRecord,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const put = (record: SiteRecord): Edit => ({ op: 'put', record });
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const codeOf = (result: Result<unknown>) => (result.ok ? 'ok' : result.problem.code);
const bytes = (site: Site) =>
  [...allRecords(site)]
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .map(stableText)
    .join('\n');

const section: SectionRecord = {
  id: 'nest',
  kind: 'section',
  area: 'main',
  name: 'Deep',
  at: { parent: 'home', order: 'zz' },
  scheme: null,
  rebind: {},
  variants: {},
  wears: {},
  styles: {},
};
const group = (id: Id, parent: Id): WidgetRecord => ({
  id,
  kind: 'widget',
  widget: 'group',
  at: { parent, order: 'V' },
  content: {},
  variants: {},
  wears: {},
  styles: {},
});
/** A section and groups one within another, so many things deep. */
const nested = (levels: number): SiteRecord[] => [
  section,
  ...Array.from({ length: levels - 1 }, (_, i) => group(`g${i + 1}`, i === 0 ? 'nest' : `g${i}`)),
];

describe('nesting', () => {
  it('is taken up to the limit and refused beyond it, in words', () => {
    expect(codeOf(applyChange(demo, { edits: nested(LIMITS.nesting).map(put) }))).toBe('ok');
    const refused = applyChange(demo, { edits: nested(LIMITS.nesting + 1).map(put) });
    expect(refused).toMatchObject({
      ok: false,
      problem: { code: 'too-deep', message: expect.stringContaining(`${LIMITS.nesting} things`) },
    });
  });

  it('counts what stands in a thing that is moved', () => {
    const site = after(demo, [
      ...nested(20).map(put),
      put({ ...section, id: 'other' }),
      ...branch('other', 14),
    ]);
    const move = (parent: Id): Edit => ({ op: 'set', id: 'b1', path: ['at'], value: { parent, order: 'V' } });
    expect(codeOf(applyChange(site, { edits: [move('g17')] }))).toBe('ok');
    expect(codeOf(applyChange(site, { edits: [move('g18')] }))).toBe('too-deep');
  });

  it('leaves what is stored deeper readable, and lets it be taken away', () => {
    const stored = siteOf([...allRecords(demo), ...nested(4000)]);
    const edited = applyChange(stored, {
      edits: [
        { op: 'set', id: 'g3000', path: ['styles', 'box/opacity'], value: { type: 'number', value: 0.5 } },
      ],
    });
    expect(codeOf(edited)).toBe('ok');
    const gone = must(applyChange(stored, { edits: [{ op: 'remove', id: 'nest' }] }));
    expect(gone.site.kinds.widget.size).toBe(demo.kinds.widget.size);
  });

  it('stored deeper is shown down to the limit, and what is not shown is reported with its page', () => {
    const stored = siteOf([...allRecords(demo), ...nested(4000)]);
    const { files, problems } = publishSite(stored);
    expect(files.get('index.html')?.split('n-group').length).not.toBe(0);
    expect(problems).toEqual([
      expect.objectContaining({
        page: 'home',
        node: `g${LIMITS.nesting}`,
        reason: expect.stringContaining('deep'),
      }),
    ]);
    expect(publishSite(demo).problems).toEqual([]);
  });

  it('of pages is limited too', () => {
    const home = demo.kinds.page.get('fares');
    if (!home) throw new Error('the demo has no such page');
    const pages = (levels: number) =>
      Array.from({ length: levels }, (_, i) =>
        put({
          ...home,
          id: `d${i}`,
          path: `d${i}`,
          rebind: {},
          at: { parent: i === 0 ? 'settings' : `d${i - 1}`, order: 'V' },
        }),
      );
    expect(codeOf(applyChange(demo, { edits: pages(LIMITS.nesting) }))).toBe('ok');
    expect(codeOf(applyChange(demo, { edits: pages(LIMITS.nesting + 1) }))).toBe('too-deep');
  });
});

const branch = (parent: Id, levels: number): Edit[] =>
  Array.from({ length: levels }, (_, i) => put(group(`b${i + 1}`, i === 0 ? parent : `b${i}`)));

const swatch = (id: Id, follows: Id | null): TokenRecord => ({
  id,
  kind: 'token',
  type: 'color',
  name: id,
  group: 'Chain',
  order: 'V',
  value: follows
    ? { type: 'token', token: follows }
    : { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } },
});
const chain = (prefix: string, length: number): Edit[] =>
  Array.from({ length: length + 1 }, (_, i) =>
    put(swatch(`${prefix}${i}`, i === 0 ? null : `${prefix}${i - 1}`)),
  );

describe('what follows one another', () => {
  it('is a chain of tokens of limited length, whichever end is made longer', () => {
    expect(codeOf(applyChange(demo, { edits: chain('a', LIMITS.following) }))).toBe('ok');
    expect(codeOf(applyChange(demo, { edits: chain('a', LIMITS.following + 1) }))).toBe('too-deep');
    const site = after(demo, [...chain('a', 20), ...chain('b', 20)]);
    const join = (id: Id, to: Id): Edit => ({
      op: 'set',
      id,
      path: ['value'],
      value: { type: 'token', token: to },
    });
    expect(codeOf(applyChange(site, { edits: [join('b0', 'a11')] }))).toBe('ok');
    expect(codeOf(applyChange(site, { edits: [join('b0', 'a12')] }))).toBe('too-deep');
    expect(codeOf(applyChange(site, { edits: [join('b0', 'b20')] }))).toBe('circular');
  });

  it('is a chain of roles of limited length', () => {
    const roles = (length: number) =>
      Array.from({ length }, (_, i): Edit => {
        const record: RoleRecord = {
          id: `r${i}`,
          kind: 'role',
          name: `R${i}`,
          order: 'V',
          fallback: i === 0 ? 'text' : `r${i - 1}`,
          on: null,
        };
        return put(record);
      });
    expect(codeOf(applyChange(demo, { edits: roles(LIMITS.following) }))).toBe('ok');
    expect(codeOf(applyChange(demo, { edits: roles(LIMITS.following + 1) }))).toBe('too-deep');
  });

  it('is a nest of presets of limited depth', () => {
    const presets = (count: number) =>
      Array.from({ length: count }, (_, i): Edit => {
        const record: PresetRecord = {
          id: `p${i}`,
          kind: 'preset',
          name: `P${i}`,
          order: 'V',
          styles: {},
          ...(i > 0 && { includes: { i: { preset: `p${i - 1}`, order: 'V' } } }),
        };
        return put(record);
      });
    expect(codeOf(applyChange(demo, { edits: presets(LIMITS.including + 1) }))).toBe('ok');
    expect(codeOf(applyChange(demo, { edits: presets(LIMITS.including + 2) }))).toBe('too-deep');
  });

  it('finds the longest way of any graph without circles, as asking for every way does', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const random = seeded(seed);
      const next = Array.from({ length: 12 }, (_, i) =>
        Array.from({ length: random.int(4) }, () => random.int(12)).filter(to => seed % 2 === 0 || to < i),
      );
      const slow = (at: number, passed: readonly number[]): number =>
        passed.includes(at)
          ? Number.POSITIVE_INFINITY
          : Math.max(0, ...(next[at] ?? []).map(to => 1 + slow(to, [...passed, at])));
      const fast = longestWays((at: number) => next[at] ?? [], 1000);
      for (let at = 0; at < 12; at++) {
        const way = fast(at);
        expect([seed, at, way === 'circular' ? Number.POSITIVE_INFINITY : way]).toEqual([
          seed,
          at,
          slow(at, []),
        ]);
      }
    }
  });
});

describe('a change', () => {
  const budget = { edits: 10, bytes: 1e6, records: 10 };
  it('has at most so many edits, and touches at most so many records with what goes with them', () => {
    const many = Array.from({ length: 11 }, (_, i) => put(swatch(`n${i}`, null)));
    expect(codeOf(applyChange(demo, { edits: many.slice(0, 10) }, budget))).toBe('ok');
    expect(codeOf(applyChange(demo, { edits: many }, budget))).toBe('too-much');
    const site = after(demo, nested(12).map(put));
    expect(codeOf(applyChange(site, { edits: [{ op: 'remove', id: 'g3' }] }, budget))).toBe('ok');
    expect(codeOf(applyChange(site, { edits: [{ op: 'remove', id: 'nest' }] }, budget))).toBe('too-much');
  });

  it('is counted before its edits are read', () => {
    const list = new Proxy(Array.from({ length: LIMITS.change.edits + 1 }), {
      get(target, key, self) {
        if (key === '0') throw new Error('an edit was looked at');
        return Reflect.get(target, key, self);
      },
    });
    expect(codeOf(readEdits(list))).toBe('too-much');
  });
});

describe('taking a change back', () => {
  const garbage = (random: ReturnType<typeof seeded>, ids: readonly Id[]): Edit[] =>
    Array.from({ length: 1 + random.int(6) }, (): Edit => {
      const id = random.pick(ids);
      const path = random.pick([
        ['name'],
        ['title'],
        ['at'],
        ['styles'],
        ['wears', 'w1'],
        ['styles', 'box/opacity'],
        ['value'],
        ['order'],
        ['fallback'],
        ['includes', 'x'],
        ['constructor'],
        ['variants', 'kind'],
        ['scheme'],
        ['widget'],
      ] as const);
      const value: unknown = random.pick([
        'Words',
        '',
        1,
        null,
        {},
        { type: 'number', value: 0.5 },
        { type: 'token', token: random.pick(ids) },
        { parent: random.pick(ids), order: 'V' },
        { preset: random.pick(ids), order: 'V', on: true },
      ]);
      switch (random.int(4)) {
        case 0:
          return { op: 'remove', id };
        case 1:
          return { op: 'unset', id, path };
        case 2:
          return put(
            random.int(2)
              ? swatch(`n${random.int(9)}`, random.pick(ids))
              : group(`n${random.int(9)}`, random.pick(ids)),
          );
        default:
          return { op: 'set', id, path, value };
      }
    });

  it('is accepted whenever the change was, and brings back the same bytes', () => {
    const base = tiny(b => {
      b.section('two', 'home', 'Two');
    });
    const start = after(base, [...nested(4).map(put), ...chain('c', 3)]);
    let taken = 0;
    for (let seed = 1; seed <= 4000; seed++) {
      const random = seeded(seed);
      const ids = [...allRecords(start)].map(it => it.id).concat('n1', 'n2', 'missing');
      const edits = garbage(random, ids);
      const done = applyChange(start, { edits });
      if (!done.ok) continue;
      taken++;
      const back = applyChange(done.value.site, { edits: done.value.inverse });
      expect([seed, codeOf(back)]).toEqual([seed, 'ok']);
      if (back.ok) expect([seed, bytes(back.value.site) === bytes(start)]).toEqual([seed, true]);
    }
    expect(taken).toBeGreaterThan(400);
  });

  it('is never of more than a change may have: removing more than could be put back is refused', () => {
    const site = after(demo, nested(12).map(put));
    const result = applyChange(
      site,
      { edits: [{ op: 'remove', id: 'nest' }] },
      { edits: 11, bytes: 1e6, records: 100 },
    );
    expect(codeOf(result)).toBe('too-much');
  });

  it('keeps a record that became unreadable in the midst of the change from being lost', () => {
    const result = applyChange(after(demo, [put(swatch('loose', null))]), {
      edits: [
        { op: 'set', id: 'loose', path: ['value'], value: 'nothing' },
        { op: 'remove', id: 'loose' },
      ],
    });
    expect(codeOf(result)).toBe('bad-field');
  });
});

describe('JSON', () => {
  it('is counted by depth and entries, and not by what stands in strings', () => {
    expect(scanJson('{"a":[1,2,{"b":"[[[[,,,,\\"]"}]}')).toEqual({
      ok: true,
      value: { depth: 3, values: 5 },
    });
    expect(codeOf(scanJson('['.repeat(40)))).toBe('too-deep');
    expect(codeOf(scanJson(`[${'1,'.repeat(20)}1]`, { depth: 3, values: 20 }))).toBe('too-many');
  });

  it('has no place for what cannot be stored, and the place is named', () => {
    expect(unstorableIn({ a: { b: ['good', 'bad \u0000'] } })).toBe('a.b.1');
    expect(unstorableIn({ a: '\ud83d\udea2' })).toBeNull();
    expect(unstorableIn({ a: '\ud83d' })).toBe('a');
    expect(unstorableIn({ 'a\u0000': 1 })).toBe('a name');
  });
});

/** A file of tokens; where nothing can be read of it, the answer is what was told. */
function readFile(text: string): Result<unknown> {
  const read = readTokens([{ name: '', text }]);
  return read.ok && read.value.items.length === 0
    ? { ok: false, problem: { code: read.value.findings[0]?.kind ?? '', message: '' } }
    : read;
}

describe('readers say their own limit', () => {
  const tokens = demo.kinds.token;
  it.each<[string, Result<unknown>, string]>([
    ['brackets', parseTokenValue('('.repeat(100), 'number', tokens), 'too-deep'],
    ['a long value', parseTokenValue('1'.repeat(3000), 'number', tokens), 'too-long'],
    ['declarations', parseDeclarations('a'.repeat(30_000), tokens, () => undefined), 'too-long'],
    ['lists in a token file', readFile('['.repeat(100_000)), 'too-deep'],
    ['groups in a token file', readFile(`${'{"a":'.repeat(100_000)}1${'}'.repeat(100_000)}`), 'too-deep'],
    ['a per cent sign that escapes nothing', readFile('{"a":{"$type":"number","$ref":"#/%"}}'), 'unread'],
    ['a type that every object answers to', readFile('{"a":{"$type":"constructor","$value":1}}'), 'unread'],
    [
      'a long chain of aliases',
      readFile(
        JSON.stringify({
          g: Object.fromEntries(
            Array.from({ length: 5000 }, (_, i) => [`t${i}`, { $value: `{g.t${i + 1}}` }]),
          ),
        }),
      ),
      'unread',
    ],
  ])('of %s', (_, result, code) => {
    expect(codeOf(result)).toBe(code);
  });
});

/** A record of every kind, with every field it can have filled. */
const SAMPLES = KINDS.flatMap(kind => {
  const all = [...demo.kinds[kind].values()];
  const fields = new Map<string, SiteRecord>();
  for (const record of all)
    for (const field of Object.keys(record)) if (!fields.has(field)) fields.set(field, record);
  return [...fields].map(([field, record]) => [kind, field, record] as const);
});

describe('no field of a record is without an end', () => {
  const long = 'a'.repeat(1_000_000);
  const many = Object.fromEntries(Array.from({ length: 5000 }, (_, i) => [`a${i}`, 'a']));
  /** Everything in a value that is text, in turn made long. */
  const lengthened = (value: unknown): unknown[] => {
    if (typeof value === 'string') return [long, `${value}${long}`, `${value}${' '.repeat(1_000_000)}`];
    if (Array.isArray(value))
      return [
        ...value
          .slice(0, 3)
          .flatMap((inner, i) => lengthened(inner).map(it => value.with?.(i, it) ?? replaced(value, i, it))),
        Array.from({ length: 200_000 }, () => value[0]),
      ];
    if (typeof value === 'object' && value !== null)
      return [
        ...Object.entries(value)
          .slice(0, 6)
          .flatMap(([key, inner]) => lengthened(inner).map(it => ({ ...value, [key]: it }))),
        ...Object.entries(value)
          .slice(0, 1)
          .map(([key, inner]) => ({ ...value, [`${key}${long}`]: inner })),
        { ...value, ...many },
      ];
    return [long];
  };
  const replaced = (list: readonly unknown[], at: number, by: unknown) =>
    list.map((it, i) => (i === at ? by : it));

  it.each(SAMPLES)('%s.%s', (_, field, record) => {
    for (const value of lengthened(Reflect.get(record, field))) {
      // What a value has no name for is not taken over, so that what is kept is no longer than before.
      const read = readRecord({ ...record, [field]: value });
      if (read.ok) expect(stableText(read.value).length).toBeLessThanOrEqual(stableText(record).length);
    }
  });

  it('and an id is no name that every object answers to', () => {
    for (const name of ['constructor', 'toString', 'valueOf', 'hasOwnProperty', '__proto__'])
      expect(isId(name)).toBe(false);
    expect(isId('hull')).toBe(true);
  });
});

describe('placing', () => {
  it('between the same two again and again never makes a key that is refused', () => {
    let site = demo;
    for (let i = 0; i < 1500; i++) {
      const { orders, rekeyed } = placesAt(site, 'home', 1, [], 1);
      site = siteOf([
        ...allRecords(after(site, rekeyed)),
        { ...section, id: `s${i}`, at: { parent: 'home', order: orders[0] ?? '' } },
      ]);
      if (!isOrderKey(orders[0] ?? '')) throw new Error(`place ${i}: ${orders[0]}`);
      if (i % 100 === 0) expect(site.children.get('home')?.[1]).toBe(`s${i}`);
    }
  }, 60_000);

  it('behind the same one again and again never makes a key that is refused', () => {
    let site = demo;
    for (let i = 0; i < 700; i++) {
      const copy = must(duplicateToken(site, 'hull'));
      site = after(site, copy.edits);
    }
    expect([...site.kinds.token.values()].every(it => it.order.length <= LIMITS.orderKey.rekeyed)).toBe(true);
  }, 60_000);

  it('gives equal keys, and keys that are too long, new ones', () => {
    const list = ['a', 'b', 'c'].map(id => ({ kind: 'variant' as const, id, order: 'V' }));
    const edits = reorder(list, { kind: 'token', id: 'new', order: 'V' }, 1);
    expect(new Set(edits.map(it => it.op === 'set' && it.value)).size).toBe(4);
    const long = keysBetween(`V${'0'.repeat(150)}1`, `V${'0'.repeat(150)}2`, 1);
    expect(long[0]?.length).toBeGreaterThan(LIMITS.orderKey.rekeyed);
    const near = [
      { kind: 'token' as const, id: 'a', order: `V${'0'.repeat(150)}1` },
      { kind: 'token' as const, id: 'b', order: `V${'0'.repeat(150)}2` },
    ];
    expect(reorder(near, { kind: 'token', id: 'new', order: 'V' }, 1).length).toBe(3);
  });
});
