import { describe, expect, it } from '@jest/globals';
import { defineConfig, parse } from '@terrazzo/parser';
import StyleDictionary from 'style-dictionary';
import { designTokens as printedTokens } from '../src/exports/designTokens.ts';
import { readTokens } from '../src/incoming/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type TextStyleRecord, type TokenRecord } from '../src/site/index.ts';
import { literalOf, NO_REBINDS, printTyped, toDesignTokens, tokenPath } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { noticedIn, readJson, takenFrom, tokensIn } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

/** Written from the Design Tokens Format Module 2025.10, sections 5 to 9: groups, types, aliases, composite values. */
const FILE = {
  color: {
    $type: 'color',
    $description: 'The colours of the line',
    sea: {
      deep: { $value: { colorSpace: 'srgb', components: [0.1, 0.2, 0.4], alpha: 0.5 } },
      pale: { $value: { colorSpace: 'oklch', components: [0.9, 0.02, 'none'] } },
    },
    link: { $value: '{color.sea.deep}' },
    hover: { $value: '{color.link}' },
  },
  space: {
    small: { $type: 'dimension', $value: { value: 0.5, unit: 'rem' } },
    wide: { $type: 'dimension', $value: { value: 48, unit: 'px' } },
  },
  motion: {
    quick: { $type: 'duration', $value: { value: 140, unit: 'ms' } },
    slow: { $type: 'duration', $value: { value: 0.4, unit: 's' } },
    ease: { $type: 'cubicBezier', $value: [0.2, 0, 0, 1] },
  },
  type: {
    text: { $type: 'fontFamily', $value: ['Literata', 'serif'] },
    strong: { $type: 'fontWeight', $value: 'semi-bold' },
    ratio: { $type: 'number', $value: 1.25 },
  },
  lift: {
    $type: 'shadow',
    $value: {
      color: '{color.sea.deep}',
      offsetX: { value: 0, unit: 'px' },
      offsetY: { value: 2, unit: 'px' },
      blur: { value: 8, unit: 'px' },
      spread: { value: 0, unit: 'px' },
    },
  },
};

const read = (file: unknown) => ({ tokens: tokensIn(readJson(file)) });
const byName = (tokens: readonly TokenRecord[], name: string) => tokens.find(it => it.name === name);
describe('a token file, against Design Tokens Format Module 2025.10', () => {
  const { tokens } = read(FILE);
  const map = new Map(tokens.map(it => [it.id, it]));
  const end = (name: string) => {
    const token = byName(tokens, name);
    return token ? literalOf(map, NO_REBINDS, token.value) : null;
  };

  it('takes types from groups (section 6.3) and aliases to their end (section 7)', () => {
    expect(end('Hover')).toEqual(end('Deep'));
    expect(end('Deep')).toEqual({
      type: 'color',
      value: { space: 'srgb', coords: [0.1, 0.2, 0.4], alpha: 0.5 },
    });
  });
  it('reads "none" as 0, seconds as milliseconds, weights by name (sections 8.4, 8.5)', () => {
    expect(end('Pale')).toMatchObject({ value: { coords: [0.9, 0.02, 0] } });
    expect(end('Slow')).toEqual({ type: 'duration', value: 400 });
    expect(end('Strong')).toEqual({ type: 'number', value: 600 });
  });

  it('comes to the same values as @terrazzo/parser 2.7, which takes no "none" in a hue', async () => {
    const src = JSON.stringify(FILE).replace('"none"', '0');
    const { tokens: theirs } = await parse([{ filename: new URL('file:///tokens.json'), src }], {
      config: defineConfig({}, { cwd: new URL('file:///') }),
    });
    const pairs: [string, string][] = [
      ['color.sea.deep', 'Deep'],
      ['color.link', 'Link'],
      ['color.hover', 'Hover'],
    ];
    for (const [path, name] of pairs) {
      const value = theirs[path]?.$value as { components: number[]; colorSpace: string; alpha: number };
      expect(end(name)).toEqual({
        type: 'color',
        value: { space: value.colorSpace, coords: value.components, alpha: value.alpha },
      });
    }
    expect(theirs['type.ratio']?.$value).toBe(1.25);
    expect(theirs['space.small']?.$value).toEqual({ value: 0.5, unit: 'rem' });
  });

  it('comes to the same dimensions and numbers as style-dictionary 4.4', async () => {
    const dictionary = new StyleDictionary(
      { tokens: JSON.parse(JSON.stringify(FILE)), usesDtcg: true, platforms: { plain: { transforms: [] } } },
      { verbosity: 'silent' },
    );
    const { allTokens } = await dictionary.getPlatformTokens('plain');
    const theirs = new Map(allTokens.map(token => [token.path.join('.'), token.$value]));
    expect(theirs.get('color.hover')).toEqual(theirs.get('color.sea.deep'));
    expect(end('Wide')).toEqual({ type: 'dimension', value: theirs.get('space.wide') });
    expect(end('Ratio')).toEqual({ type: 'number', value: theirs.get('type.ratio') });
  });

  it('takes over groups by $extends, own tokens over those taken (section 6.4), and $root (section 6.2)', () => {
    const { tokens: some } = read({
      base: { $type: 'number', a: { $value: 1 }, b: { $value: 2 } },
      more: { $extends: '{base}', b: { $value: 3 }, $root: { $type: 'number', $value: 9 } },
    });
    expect(some.map(it => [it.group, it.name, printTyped(it.value, new Map())])).toEqual([
      ['Base', 'A', '1'],
      ['Base', 'B', '2'],
      ['More', 'A', '1'],
      ['More', 'B', '3'],
      ['Imported', 'More', '9'],
    ]);
  });
  it('follows JSON Pointers to a token and to part of a value (RFC 6901)', () => {
    const { tokens: some } = read({
      sea: { $type: 'color', $value: { colorSpace: 'srgb', components: [0.1, 0.2, 0.3] } },
      same: { $type: 'color', $value: { $ref: '#/sea/$value' } },
      shifted: {
        $type: 'color',
        $value: { colorSpace: 'srgb', components: [0, { $ref: '#/sea/$value/components/1' }, 0] },
      },
    });
    expect(some[1]?.value).toEqual({ type: 'token', token: some[0]?.id });
    expect(some[2]?.value).toMatchObject({ value: { coords: [0, 0.2, 0] } });
  });
  it('makes a text style of typography (section 9.7), and presets of lines and transitions (sections 9.2 to 9.4)', () => {
    const incoming = readJson({
      face: { $type: 'fontFamily', $value: 'Literata' },
      text: {
        lead: {
          $type: 'typography',
          $value: {
            fontFamily: '{face}',
            fontSize: { value: 1.25, unit: 'rem' },
            fontWeight: 500,
            letterSpacing: { value: 0, unit: 'px' },
            lineHeight: 1.5,
          },
        },
        'lead-small': { $type: 'typography', $value: '{text.lead}' },
      },
      ink: { $type: 'color', $value: { colorSpace: 'srgb', components: [0, 0, 0] } },
      dash: { $type: 'strokeStyle', $value: 'dashed' },
      frame: {
        $type: 'border',
        $value: { color: '{ink}', width: { value: 1, unit: 'px' }, style: '{dash}' },
      },
      swift: {
        $type: 'transition',
        $value: {
          duration: { value: 140, unit: 'ms' },
          delay: { value: 0, unit: 'ms' },
          timingFunction: [0.2, 0, 0, 1],
        },
      },
    });
    expect(incoming.findings).toEqual([]);
    const styles = incoming.items.flatMap(({ record }) => (record.kind === 'textStyle' ? [record] : []));
    expect(styles.map(it => it.name)).toEqual(['Lead', 'Lead small']);
    expect(styles[1]?.styles).toEqual(styles[0]?.styles);
    const presets = incoming.items.flatMap(({ record }) => (record.kind === 'preset' ? [record] : []));
    expect(presets.map(({ name, styles: its }) => [name, Object.keys(its).length])).toEqual([
      ['Dash', 4],
      ['Frame', 12],
      ['Swift', 2],
    ]);
    expect(presets[1]?.styles['box/borderTopStyle']).toEqual({ type: 'keyword', value: 'dashed' });
  });

  it('brings back all that we write, derivations and growing sizes included', () => {
    const demo = demoSite().kinds.token;
    const { tokens: back } = read(toDesignTokens(demo));
    const again = new Map(back.map(it => [it.id, it]));
    const text = (all: ReadonlyMap<string, TokenRecord>) =>
      Object.fromEntries(
        [...all.keys()].map(id => [
          tokenPath(all, id),
          printTyped(all.get(id)?.value ?? { type: 'number', value: 0 }, all),
        ]),
      );
    expect(text(again)).toEqual(text(demo));
  });
});

describe('a token file that is not right everywhere', () => {
  const sea = { $type: 'color', $value: { colorSpace: 'srgb', components: [0, 0.2, 0.4] } };
  const px = (value: number) => ({ value, unit: 'px' });

  it('that is no JSON is told with line and column', () => {
    const result = readTokens([{ name: 'a.json', text: '{\n  "a": {,\n}' }]);
    expect(!result.ok && result.problem.message).toMatch(/line 2, column 9/);
    const list = readTokens([{ name: 'a.json', text: '[1]' }]);
    expect(!list.ok && list.problem.message).toMatch(/JSON object/);
  });

  // Each beside a good token, which is read whatever stands next to it.
  it.each<[string, object, RegExp, number]>([
    ['an unknown alias', { a: { $type: 'color', $value: '{b.c}' } }, /There is no token b\.c/, 1],
    ['a wrong capital', { b: { $value: '{Sea}' } }, /Did you mean sea\?/, 1],
    [
      'an alias in a circle',
      { a: { $type: 'number', $value: '{b}' }, b: { $type: 'number', $value: '{a}' } },
      /refers to itself/,
      1,
    ],
    [
      'a colour of four components (Color Module, section 4.1)',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [1, 2, 3, 4] } } },
      /components: A colour has three/,
      1,
    ],
    [
      'an unknown colour space (Color Module, section 4.2)',
      { a: { $type: 'color', $value: { colorSpace: 'cmyk', components: [1, 2, 3] } } },
      /no colour space cmyk/,
      1,
    ],
    ['a token without a type whose value shows none', { a: { $value: 'kelp' } }, /does not show one/, 1],
    ['a type nobody knows', { a: { $type: 'smell', $value: 1 } }, /There is no type smell/, 1],
    [
      'an alias of another type',
      { a: { $type: 'number', $value: 1 }, b: { $type: 'color', $value: '{a}' } },
      /a is a number, not a color/,
      2,
    ],
    [
      'a shadow without blur (section 9.6)',
      { a: { $type: 'shadow', $value: { color: '{sea}', offsetX: px(0), offsetY: px(1), spread: px(0) } } },
      /A shadow needs blur/,
      1,
    ],
    [
      'typography whose size names a colour (section 9.7)',
      { a: { $type: 'typography', $value: { fontSize: '{sea}' } } },
      /fontSize: sea is a color, not a dimension/,
      1,
    ],
    [
      'a name that begins with a dollar sign (section 5.1.1)',
      { $a: { $type: 'number', $value: 1 } },
      /cannot begin with a dollar sign/,
      1,
    ],
    ['a group that extends itself (section 6.4)', { a: { $extends: '{a}' } }, /extends itself/, 1],
    ['a bare value', { a: 3 }, /neither a token nor a group/, 1],
    [
      'what refers to something unreadable',
      { a: { $type: 'color', $value: 'soup' }, b: { $type: 'color', $value: '{a}' } },
      /refers to a, which cannot be read/,
      1,
    ],
  ])('tells %s with its place, and reads all else', (_, more, message, read) => {
    const incoming = readJson({ sea, ...more });
    const told = noticedIn(incoming, 'unread');
    expect(told.join('\n')).toMatch(message);
    expect(incoming.items).toHaveLength(read);
    expect(incoming.findings.every(it => it.place !== null && it.place.line >= 1)).toBe(true);
  });

  it.each<[string, object, RegExp, number]>([
    ['a token inside a token (section 5)', { a: { ...sea, b: sea } }, /cannot hold other tokens/, 2],
    ['a dot in a name (section 5.1.1)', { 'a.b': sea, c: { $value: '{a.b}' } }, /no dots or braces/, 2],
    ['a length as text', { a: { $type: 'dimension', $value: '12px' } }, /written as text/, 1],
    ['a length without a unit', { a: { $type: 'dimension', $value: 12 } }, /taken as px/, 1],
    [
      'a type of another spelling',
      { a: { $type: 'borderRadius', $value: '4px' } },
      /is read as dimension/,
      1,
    ],
  ])('reads %s, and says so', (_, file, message, read) => {
    const incoming = readJson(file);
    expect(noticedIn(incoming, 'unread')).toEqual([]);
    expect(noticedIn(incoming, 'read').join('\n')).toMatch(message);
    expect(incoming.items).toHaveLength(read);
  });

  it.each<
    [
      string,
      object,
      (records: readonly TokenRecord[], styles: readonly TextStyleRecord[]) => unknown,
      unknown,
    ]
  >([
    [
      'aliases inside the lengths of a shadow, and shadows inside a list (sections 7, 9.6)',
      {
        sea,
        two: { $type: 'dimension', $value: px(2) },
        one: {
          $type: 'shadow',
          $value: { color: '{sea}', offsetX: '{two}', offsetY: '{two}', blur: '{two}', spread: px(0) },
        },
        both: { $type: 'shadow', $value: ['{one}', '{one}'] },
      },
      all => {
        const value = all.find(it => it.name === 'Both')?.value;
        return value?.type === 'shadow' && value.value.map(it => it.blur.value);
      },
      [2, 2],
    ],
    [
      'aliases inside the stops of a gradient (section 9.5)',
      {
        sea,
        half: { $type: 'number', $value: 0.5 },
        dawn: {
          $type: 'gradient',
          $value: [
            { color: '{sea}', position: '{half}' },
            { color: '{sea}', position: 1 },
          ],
        },
      },
      all => {
        const value = all.find(it => it.name === 'Dawn')?.value;
        return value?.type === 'gradient' && value.stops.map(it => [it.at, it.color.type]);
      },
      [
        [0.5, 'token'],
        [1, 'token'],
      ],
    ],
    [
      'aliases inside a list of families, and an apostrophe in a name (section 8.3)',
      {
        house: { $type: 'fontFamily', $value: "Skipper's Hand" },
        text: { $type: 'fontFamily', $value: ['{house}', 'serif'] },
      },
      all => all.find(it => it.name === 'Text')?.value,
      { type: 'fontFamily', value: ["Skipper's Hand", 'serif'] },
    ],
    [
      'a group that takes over another by $ref (section 6.4)',
      {
        base: { $type: 'number', a: { $value: 1 } },
        more: { $ref: '#/base', b: { $type: 'number', $value: 2 } },
      },
      all => all.map(it => `${it.group} ${it.name}`),
      ['Base A', 'More A', 'More B'],
    ],
  ])('reads %s', (_, file, look, expected) => {
    const incoming = readJson(file);
    expect(incoming.findings).toEqual([]);
    expect(look(tokensIn(incoming), [])).toEqual(expected);
  });

  it('passes over a byte order mark (RFC 8259, section 8.1)', () => {
    const result = readTokens([{ name: '', text: `\uFEFF${JSON.stringify({ sea })}` }]);
    expect(result.ok && result.value.items).toHaveLength(1);
  });
});

describe('what the guide makes no use of', () => {
  const FILE_OF_ALL = {
    color: {
      sea: {
        $type: 'color',
        $description: 'Colours of the water',
        deep: {
          $value: { colorSpace: 'oklch', components: [0.3, 0, 'none'], hex: '#2e2e2e' },
          $description: 'Below the ferry',
          $deprecated: 'Use hull instead',
          $extensions: { 'example.other-tool': { order: 3, tags: ['a', 'b'] } },
        },
        pale: {
          $value: { colorSpace: 'srgb', components: [0.9, 0.95, 1], hex: '#e6f2ff' },
          $deprecated: true,
        },
      },
      shore: {
        $type: 'color',
        $extends: '{color.sea}',
        pale: { $value: { colorSpace: 'srgb', components: [1, 1, 0.9], hex: '#ffffe6' } },
      },
    },
  };

  it('goes out as it came in: $description, $deprecated, foreign $extensions, hex, none and $extends (sections 5.2, 6.4)', () => {
    const { edits } = takenFrom(tiny(), JSON.stringify(FILE_OF_ALL));
    const site = must(applyChange(tiny(), { edits })).site;
    const { color } = JSON.parse(printedTokens.print(site));
    expect(color.sea).toEqual({
      $description: 'Colours of the water',
      deep: {
        $type: 'color',
        ...FILE_OF_ALL.color.sea.deep,
        $value: { ...FILE_OF_ALL.color.sea.deep.$value },
      },
      pale: { $type: 'color', ...FILE_OF_ALL.color.sea.pale },
    });
    expect(color.shore).toEqual({
      $extends: '{color.sea}',
      pale: { $type: 'color', ...FILE_OF_ALL.color.shore.pale },
    });
    expect(takenFrom(site, printedTokens.print(site)).edits).toEqual([]);
  });

  it('and what cannot be stored is shown as not known, and refuses nothing', () => {
    const text = '{"a\\u0000b":{"$type":"number","$value":1,"$description":"x\\ud800y"}}';
    const { edits } = takenFrom(tiny(), text);
    expect(must(applyChange(tiny(), { edits })).site.kinds.token.size).toBe(tiny().kinds.token.size + 1);
  });
});

describe('other spellings', () => {
  it('value and type without a dollar sign: types from groups, from words, or from the value', () => {
    const incoming = readJson({
      color: { hull: { value: '#2a3a5f', type: 'color' }, link: { value: '{color.hull.value}' } },
      space: { type: 'spacing', small: { value: '8' }, wide: { value: '48px' } },
      weight: { strong: { value: 'Semi Bold', type: 'fontWeights' } },
      lift: { value: '0 2px 8px rgba(0, 0, 0, 0.2)', type: 'boxShadow' },
    });
    expect(incoming.sources[0]?.dialect).toBe('Tokens with value and type');
    expect(incoming.findings).toEqual([]);
    const tokens = tokensIn(incoming);
    const map = new Map(tokens.map(it => [it.id, it]));
    expect(tokens.map(it => `${it.group} › ${it.name}: ${it.type} ${printTyped(it.value, map)}`)).toEqual([
      'Color › Hull: color #2a3a5f',
      'Color › Link: color {color.color.hull}',
      'Space › Small: dimension 8px',
      'Space › Wide: dimension 48px',
      'Weight › Strong: number 600',
      'Imported › Lift: shadow 0px 2px 8px 0px #00000033',
    ]);
    expect(incoming.items.some(it => it.inferred)).toBe(false);
  });

  it('products of others, gradients among colours, sets within one file, types that say nothing', () => {
    const incoming = readJson({
      core: {
        space: { base: { value: '4px', type: 'spacing' } },
        dusk: { value: 'linear-gradient(90deg, #123, #456)', type: 'color' },
      },
      semantic: {
        gap: { value: '{space.base} * 1.5', type: 'spacing' },
        odd: { value: '1.5rem', type: 'other' },
      },
    });
    expect(incoming.findings).toEqual([]);
    const tokens = tokensIn(incoming);
    const map = new Map(tokens.map(it => [it.id, it]));
    expect(tokens.map(it => `${it.name}: ${it.type} ${printTyped(it.value, map)}`)).toEqual([
      'Base: dimension 4px',
      'Dusk: gradient linear-gradient(90deg, #112233 0%, #445566 100%)',
      'Gap: dimension 6px',
      'Odd: dimension 1.5rem',
    ]);
  });

  it('resolved values that keep what they were made of: each once', () => {
    const { items } = readJson({
      sea: {
        value: '#123456',
        type: 'color',
        name: 'sea',
        path: ['sea'],
        attributes: { category: 'sea' },
        original: { $value: '{x}', $type: 'color' },
      },
    });
    expect(items.map(it => it.name)).toEqual(['sea']);
  });

  it('names and bare values', () => {
    const incoming = readJson({
      colors: { hull: '#2a3a5f' },
      fonts: { text: 'Literata, serif' },
      radius: { small: 4 },
    });
    expect(incoming.sources[0]?.dialect).toBe('Names and values');
    expect(tokensIn(incoming).map(it => it.type)).toEqual(['color', 'fontFamily', 'dimension']);
    expect(incoming.items.every(it => it.inferred)).toBe(true);
  });

  it('several files: pointers into the others, aliases with slashes, names cut where a character is', () => {
    const long = `${'a'.repeat(79)}😀`;
    const result = readTokens([
      { name: 'a.json', text: JSON.stringify({ sea: { deep: { $type: 'color', $value: '#123456' } } }) },
      {
        name: 'b.json',
        text: JSON.stringify({
          link: { $type: 'color', $value: { $ref: 'a.json#/sea/deep/$value' } },
          hover: { $type: 'color', $ref: './a.json#/sea/deep' },
          ink: { $type: 'color', $value: '{sea/deep}' },
          [long]: { $type: 'color', $value: '{ink}' },
        }),
      },
    ]);
    if (!result.ok) throw new Error(result.problem.message);
    expect(noticedIn(result.value, 'unread')).toEqual([]);
    const tokens = tokensIn(result.value);
    expect(tokens.map(it => it.value.type)).toEqual(['color', 'token', 'token', 'token', 'token']);
    expect(tokens.at(-1)?.name).toBe(`A${'a'.repeat(78)}\uFFFD`);
  });

  it('several files: aliases into the others', () => {
    const files = [
      { name: 'tokens/color.json', text: JSON.stringify({ sea: { $type: 'color', $value: '#123456' } }) },
      {
        name: 'tokens/roles.json',
        text: JSON.stringify({ link: { $value: '{sea}' }, gone: { $value: '{land}' } }, null, 2),
      },
    ];
    const result = readTokens(files);
    if (!result.ok) throw new Error(result.problem.message);
    expect(result.value.items.map(it => [it.name, it.place?.file])).toEqual([
      ['sea', 'tokens/color.json'],
      ['link', 'tokens/roles.json'],
    ]);
    expect(noticedIn(result.value, 'unread')).toEqual([
      'There is no token land. (tokens/roles.json, line 5)',
    ]);
  });
});
