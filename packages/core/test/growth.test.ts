import { describe, expect, it } from '@jest/globals';
import { readTokens } from '../src/incoming/index.ts';
import {
  applyChange,
  type Edit,
  type Id,
  keyBetween,
  LIMITS,
  literalOf,
  lookupOf,
  must,
  NO_REBINDS,
  type PresetRecord,
  parseArithmetic,
  parseColor,
  parseDeclarations,
  parseFamilies,
  parseLength,
  parseLink,
  parseLiteral,
  parseTokenValue,
  pasteSwatches,
  presetStyles,
  presetsWithin,
  readClip,
  readEdits,
  readGuideData,
  readRecord,
  rightsFor,
  SCHEMA,
  type Site,
  scanJson,
  splitTop,
  type TokenRecord,
  unstorableIn,
} from '../src/index.ts';
import { readWholeSite } from '../src/wholeSite/index.ts';
import { demoSite } from './support/demo.ts';
import { growth, stepsOf } from './support/steps.ts';

const demo = demoSite();
const row = (id: Id): TokenRecord => ({
  id,
  kind: 'token',
  type: 'color',
  name: id,
  group: 'Grown',
  order: 'V',
  value: { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } },
});
const put = (record: TokenRecord | PresetRecord): Edit => ({ op: 'put', record });
const lines = (n: number, line: (i: number) => string) =>
  Array.from({ length: n }, (_, i) => line(i)).join('\n');

/** A little more than proportional is left for sorting, and for what is done once. */
const PROPORTIONAL = 5.5;

/** Readers of text, each with inputs that a careless reader takes quadratic time for. `size` is about characters. */
const READERS: [string, (text: string) => unknown][] = [
  ['swatches', pasteSwatches],
  ['a token file', text => readTokens([{ name: '', text }])],
  ['a style sheet', text => readTokens([{ name: 'a.css', text }])],
  ['a page', text => readTokens([{ name: 'a.html', text }])],
  ['a whole site', readWholeSite],
  ['a clip', readClip],
  ['a link', parseLink],
  ['a colour', parseColor],
  ['a length', parseLength],
  ['a sum', parseArithmetic],
  ['families', parseFamilies],
  ['a shadow', text => parseLiteral(text, 'shadow')],
  ['a gradient', text => parseLiteral(text, 'gradient')],
  ['a picture', text => parseLiteral(text, 'picture')],
  ['a value', text => parseTokenValue(text, 'color', demo.kinds.token)],
  ['declarations', text => parseDeclarations(text, demo.kinds.token, () => undefined)],
  ['parts', text => splitTop(text, /,/)],
  ['JSON', text => scanJson(text)],
];

const INPUTS: [string, (size: number) => string][] = [
  ['spaces', n => ' '.repeat(n)],
  ['one long word', n => 'a'.repeat(n)],
  ['opening brackets', n => '('.repeat(n)],
  ['opening comments', n => '/*'.repeat(n / 2)],
  ['half comments', n => '/*/'.repeat(n / 3)],
  ['braces', n => '{'.repeat(n)],
  ['lists', n => '['.repeat(n)],
  ['empty lines', n => '\n'.repeat(n)],
  ['commas', n => ','.repeat(n)],
  ['at signs', n => `a${'@'.repeat(n)}`],
  ['digits', n => '1'.repeat(n)],
  ['digits and spaces', n => '1 '.repeat(n / 2)],
  ['colons', n => 'a:'.repeat(n / 2)],
  ['quotes', n => '"'.repeat(n)],
  ['a chain of names', n => lines(n / 20, i => `--a${i}: var(--a${i + 1});`)],
  ['a chain of names backwards', n => lines(n / 20, i => `--a${i}: var(--a${i - 1});`)],
  ['colours', n => lines(n / 20, i => `Name ${i}: #${(100_000 + i).toString().slice(0, 6)}`)],
  ['rules', n => lines(n / 40, i => `.a${i}{color:#${(100_000 + i).toString()};margin:${i}px}`)],
  ['rules that do not close', n => 'a{b:c;'.repeat(n / 6)],
  ['styles of elements', n => '<p style="color:red"><style>'.repeat(n / 28)],
  ['a call that does not close', n => `linear-gradient(${'#fff, '.repeat(n / 6)}`],
  ['a call of many', n => `linear-gradient(${'#fff, '.repeat(n / 6)}#000)`],
];

describe('what a reader costs grows no faster than what it reads', () => {
  describe.each(READERS)('%s', (_, read) => {
    it.each(INPUTS)('of %s', (_name, make) => {
      const { factor, large } = growth(size => {
        const text = make(size);
        return () => read(text);
      }, 6000);
      expect({ factor: factor <= PROPORTIONAL || large < 5000, steps: large < 4_000_000 }).toEqual({
        factor: true,
        steps: true,
      });
    });
  });

  it('counts what it is meant to: a reader that looks at every pair is found out', () => {
    const quadratic = (text: string) => {
      const all = splitTop(text, /,/);
      return all.map(it => all.indexOf(it));
    };
    const { factor } = growth(size => () => quadratic(lines(size, i => `a${i},`)), 500);
    expect(factor).toBeGreaterThan(10);
  });
});

/** A site with so many tokens, each mixing the two before it: as many ways lead through them as Fibonacci counts. */
const mixed = (count: number): TokenRecord[] =>
  Array.from({ length: count }, (_, i) => {
    const record = row(`m${i}`);
    if (i < 2) return record;
    return {
      ...record,
      value: { type: 'derived', derivation: { op: 'mix', from: [`m${i - 1}`, `m${i - 2}`], by: [0.5] } },
    };
  });

const preset = (id: Id, includes: readonly Id[]): PresetRecord => ({
  id,
  kind: 'preset',
  name: id,
  order: 'V',
  styles: {},
  ...(includes.length > 0 && {
    includes: Object.fromEntries(
      includes.map((inner, i) => [`i${i}`, { preset: inner, order: `V${i + 1}` }]),
    ),
  }),
});

/** Levels of two presets, each of which includes both of the level below: 2ⁿ ways to the bottom. */
const doubled = (levels: number): PresetRecord[] =>
  Array.from({ length: levels }, (_, i) =>
    ['a', 'b'].map(it => preset(`${it}${i}`, i === 0 ? [] : [`a${i - 1}`, `b${i - 1}`])),
  ).flat();

const accepted = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;

describe('a walk looks at each node once', () => {
  it('through tokens that mix one another', () => {
    const of = (count: number) => {
      const site = accepted(demo, mixed(count).map(put));
      return stepsOf(() =>
        literalOf(new Map(site.kinds.token), NO_REBINDS, { type: 'token', token: `m${count - 1}` }),
      );
    };
    expect(of(28) / of(7)).toBeLessThan(8);
  });

  it('through presets that include one another, when they are accepted and when they are worn', () => {
    const accept = (levels: number) => stepsOf(() => accepted(demo, doubled(levels).map(put)));
    expect(accept(16) / accept(4)).toBeLessThan(8);
    const wear = (levels: number) => {
      const site = accepted(demo, doubled(levels).map(put));
      return stepsOf(() => [presetsWithin(site, `a${levels - 1}`), presetStyles(site, `a${levels - 1}`)]);
    };
    expect(wear(16) / wear(4)).toBeLessThan(8);
  });

  it('through groups of a token file that extend one another, up to a limit', () => {
    const file = (levels: number) =>
      JSON.stringify(
        Object.fromEntries(
          Array.from({ length: levels }, (_, i) => [
            `g${i}`,
            i === 0
              ? { t: { $type: 'number', $value: 1 } }
              : { x: { $extends: `{g${i - 1}}` }, y: { $extends: `{g${i - 1}}` } },
          ]),
        ),
      );
    const result = readTokens([{ name: '', text: file(30) }]);
    expect(result).toMatchObject({ ok: false, problem: { code: 'too-many' } });
  });
});

describe('a change costs what it alters', () => {
  const home = demo.kinds.page.get('home');
  if (!home) throw new Error('the demo has no home');
  const page = (i: number): Edit => ({
    op: 'put',
    record: { ...home, id: `p${i}`, path: `p${i}`, rebind: {}, at: { parent: 'settings', order: 'V' } },
  });

  it.each<[string, (n: number) => Edit[]]>([
    ['many pages in one place', n => Array.from({ length: n }, (_, i) => page(i))],
    ['many tokens', n => Array.from({ length: n }, (_, i) => put(row(`t${i}`)))],
    [
      'many fields of one map',
      n =>
        Array.from(
          { length: n },
          (_, i): Edit => ({
            op: 'set',
            id: 'book',
            path: ['styles', `box${['', ':hover', ':focus'][i % 3]}/opacity`],
            value: { type: 'number', value: (i % 90) / 100 },
          }),
        ),
    ],
    [
      'the same field again and again',
      n =>
        Array.from(
          { length: n },
          (_, i): Edit => ({ op: 'set', id: 'fares', path: ['title'], value: `Fares ${i}` }),
        ),
    ],
    [
      'what is put and taken away',
      n =>
        Array.from({ length: n }, (_, i): Edit[] => [
          put(row(`t${i}`)),
          { op: 'remove', id: `t${i}` },
        ]).flat(),
    ],
    [
      'edits that meet nothing',
      n => Array.from({ length: n }, (_, i): Edit => ({ op: 'remove', id: `none${i}` })),
    ],
  ])('%s', (_, make) => {
    const { factor } = growth(size => {
      const edits = make(size);
      return () => [applyChange(demo, { edits }), rightsFor(edits, lookupOf(demo)), readEdits(edits)];
    }, 150);
    expect(factor).toBeLessThan(PROPORTIONAL);
  });

  it('taking away one of many pages looks at none of the others', () => {
    const of = (count: number) => {
      const site = accepted(
        demo,
        Array.from({ length: count }, (_, i) => page(i)),
      );
      return stepsOf(() =>
        applyChange(site, { edits: [{ op: 'set', id: 'p1', path: ['title'], value: 'Other' }] }),
      );
    };
    expect(of(400) / of(100)).toBeLessThan(1.5);
  });
});

describe('records are read in proportion', () => {
  it.each<[string, (n: number) => unknown]>([
    ['a note', n => ({ id: 'n', kind: 'note', name: 'N', order: 'V', text: 'a'.repeat(n) })],
    [
      'a gradient of gradients',
      n => {
        let value: unknown = { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } };
        for (let i = 0; i < n / 10; i++)
          value = {
            type: 'gradient',
            shape: 'linear',
            angle: 0,
            stops: [
              { color: value, at: 0 },
              { color: value, at: 1 },
            ],
          };
        return { ...row('t'), type: 'gradient', value };
      },
    ],
    [
      'a map of nothing known',
      n => ({ ...row('t'), ...Object.fromEntries(Array.from({ length: n }, (_, i) => [`f${i}`, 1])) }),
    ],
  ])('%s', (_, make) => {
    const { factor, large } = growth(size => {
      const record = make(size);
      return () => readRecord(record);
    }, 200);
    expect(factor < PROPORTIONAL || large < 5000).toBe(true);
  });

  it('and a kept guide record by record', () => {
    const { factor } = growth(size => {
      const guide = {
        name: 'G',
        records: Array.from({ length: size }, (_, i) => row(`t${i}`)),
        settings: {},
      };
      return () => readGuideData(guide, SCHEMA);
    }, 100);
    expect(factor).toBeLessThan(PROPORTIONAL);
  });

  it('and what cannot be stored is found without recursion, however deep it lies', () => {
    let value: unknown = '\ud800';
    for (let i = 0; i < 20_000; i++) value = [value];
    expect(unstorableIn(value)).not.toBeNull();
  });
});

describe('order keys', () => {
  it.each([
    ['at the end', (key: string | null) => keyBetween(key, null)],
    ['at the start', (key: string | null) => keyBetween(null, key)],
  ])('stay short however many are placed %s', (_, next) => {
    let key: string | null = null;
    let before: string | null = null;
    for (let i = 0; i < 100_000; i++) {
      before = key;
      key = next(key);
      if (before !== null && (next === undefined || (_ === 'at the end') !== before < key))
        throw new Error(`${before}, ${key}`);
    }
    expect(key?.length ?? 0).toBeLessThan(16);
    expect(LIMITS.orderKey.rekeyed).toBeGreaterThan(16);
  });
});
