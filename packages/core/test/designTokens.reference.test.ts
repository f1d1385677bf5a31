import { describe, expect, it } from '@jest/globals';
import { defineConfig, parse } from '@terrazzo/parser';
import StyleDictionary from 'style-dictionary';
import { must } from '../src/result/index.ts';
import type { TokenRecord } from '../src/site/index.ts';
import {
  literalOf,
  NO_REBINDS,
  printTyped,
  readDesignTokens,
  toDesignTokens,
  tokenPath,
} from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';

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

const read = (file: unknown) => must(readDesignTokens(JSON.stringify(file)));
const byName = (tokens: readonly TokenRecord[], name: string) => tokens.find(it => it.name === name);
const problemOf = (file: unknown) => {
  const result = readDesignTokens(typeof file === 'string' ? file : JSON.stringify(file, null, 2));
  if (result.ok) throw new Error('read without a complaint');
  return result.problem;
};

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
  it('makes a text style of typography (section 9.7), and tells what it has no place for', () => {
    const { textStyles, left } = read({
      face: { $type: 'fontFamily', $value: 'Literata' },
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
      dash: { $type: 'strokeStyle', $value: 'dashed' },
      dawn: {
        $type: 'gradient',
        $value: [
          { color: { colorSpace: 'srgb', components: [1, 1, 1] }, position: 0 },
          { color: { colorSpace: 'srgb', components: [0, 0, 0] }, position: 1 },
        ],
      },
    });
    expect(Object.keys(textStyles[0]?.styles ?? {})).toContain('/lineHeight');
    expect(left).toEqual([{ path: 'dash', reason: 'A guide has no tokens of type strokeStyle.' }]);
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

describe('a bad token file', () => {
  it('that is no JSON is told with line and column', () => {
    expect(problemOf('{\n  "a": {,\n}').message).toMatch(/line 2, column 9/);
  });
  it.each([
    ['an unknown alias', { a: { $type: 'color', $value: '{b.c}' } }, /There is no token b\.c.*line 4/],
    [
      'a wrong capital',
      { sea: { $type: 'number', $value: 1 }, b: { $value: '{Sea}' } },
      /Did you mean sea\?/,
    ],
    [
      'an alias in a circle',
      { a: { $type: 'number', $value: '{b}' }, b: { $type: 'number', $value: '{a}' } },
      /refers to itself/,
    ],
    [
      'a colour of four components',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [1, 2, 3, 4] } } },
      /a\.\$value\.components: A colour has three/,
    ],
    [
      'an unknown colour space',
      { a: { $type: 'color', $value: { colorSpace: 'cmyk', components: [1, 2, 3] } } },
      /no colour space cmyk.*line 5/,
    ],
    ['a token without a type', { a: { $value: 1 } }, /no \$type/],
    ['a type nobody knows', { a: { $type: 'smell', $value: 1 } }, /There is no type smell/],
    [
      'an alias of another type',
      { a: { $type: 'number', $value: 1 }, b: { $type: 'color', $value: '{a}' } },
      /a is a number, not a color/,
    ],
    ['a dot in a name', { 'a.b': { $type: 'number', $value: 1 } }, /no brackets or dots/],
    ['a group that extends itself', { a: { $extends: '{a}' } }, /extends itself/],
    ['a list', [1], /JSON object/],
    ['a bare value', { a: 3 }, /neither a token nor a group/],
  ])('with %s is refused as a whole, with the place', (_, file, message) => {
    expect(problemOf(file).message).toMatch(message);
  });
});
