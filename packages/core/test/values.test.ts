import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { accepts, propertyOf } from '../src/properties/index.ts';
import { parsePropertyValue, parseTokenValue, printTyped } from '../src/tokens/index.ts';
import {
  LENGTH_UNITS,
  parseArithmetic,
  parseLength,
  parseLiteral,
  readValue,
  type TokenType,
  type Value,
} from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';

const tokens = demoSite().kinds.token;
const number = fc.integer({ min: -100_000, max: 100_000 }).map(n => n / 100);
const length = fc.record({ value: number, unit: fc.constantFrom(...LENGTH_UNITS) });
const absolute = fc.record({ value: number, unit: fc.constantFrom('px' as const, 'rem' as const) });
const share = fc.integer({ min: 0, max: 100 }).map(n => n / 100);
const color = fc.tuple(share, share, share, share).map(
  ([a, b, c, alpha]): Value => ({
    type: 'color',
    value: { space: 'oklch', coords: [a, b, c * 300], alpha },
  }),
);

const VALUES: Record<TokenType, fc.Arbitrary<Value>> = {
  color: fc.oneof(
    color,
    fc.constantFrom('hull', 'lamp').map((token): Value => ({ type: 'token', token })),
    share.map(
      (by): Value => ({ type: 'derived', derivation: { op: 'mix', from: ['hull', 'lamp'], by: [by] } }),
    ),
  ),
  dimension: fc.oneof(
    length.map((value): Value => ({ type: 'dimension', value })),
    fc.tuple(absolute, absolute).map(([min, max]): Value => ({ type: 'fluid', min, max })),
  ),
  number: number.map((value): Value => ({ type: 'number', value })),
  duration: fc.nat(5000).map((value): Value => ({ type: 'duration', value })),
  cubicBezier: fc.tuple(share, number, share, number).map((value): Value => ({ type: 'cubicBezier', value })),
  fontFamily: fc
    .constantFrom(['Literata', 'serif'], ['system-ui'], ['Source Sans 3', 'sans-serif'])
    .map((value): Value => ({ type: 'fontFamily', value })),
  gradient: fc
    .tuple(
      fc.constantFrom('linear' as const, 'radial' as const),
      fc.integer({ min: -360, max: 360 }),
      fc.array(fc.tuple(fc.oneof(color, fc.constant<Value>({ type: 'token', token: 'hull' })), share), {
        minLength: 2,
        maxLength: 5,
      }),
    )
    .map(
      ([shape, angle, stops]): Value => ({
        type: 'gradient',
        shape,
        angle: shape === 'linear' ? angle : 0,
        stops: stops.map(([it, at]) => ({ color: it, at })),
      }),
    ),
  shadow: fc
    .array(fc.tuple(length, length, length, length, fc.boolean(), color), { minLength: 1, maxLength: 3 })
    .map(
      (layers): Value => ({
        type: 'shadow',
        value: layers.map(([x, y, blur, spread, inset, shade]) => ({
          x,
          y,
          blur,
          spread,
          inset,
          color: shade,
        })),
      }),
    ),
};

describe('a value', () => {
  it.each(Object.keys(VALUES) as TokenType[])('of type %s reads back from what it prints as', type => {
    fc.assert(
      fc.property(VALUES[type], value =>
        expect(parseTokenValue(printTyped(value, tokens), type, tokens)).toEqual({ ok: true, value }),
      ),
      { seed: 17, numRuns: 200 },
    );
  });
  it.each(Object.keys(VALUES) as TokenType[])(
    'of type %s reads back from JSON, and nothing is added to it',
    type => {
      fc.assert(
        fc.property(VALUES[type], value =>
          expect(readValue(JSON.parse(JSON.stringify(value)))).toEqual(value),
        ),
        { seed: 18, numRuns: 100 },
      );
    },
  );
  it.each([
    null,
    3,
    'red',
    {},
    { type: 'colour' },
    { type: 'color', value: { space: 'srgb', coords: [1, 2], alpha: 1 } },
    { type: 'color', value: { space: 'toString', coords: [1, 1, 1], alpha: 1 } },
    { type: 'keyword', value: 'none;} body{display:none' },
    { type: 'token', token: 'a b' },
    { type: 'token', token: '</style>' },
    { type: 'fontFamily', value: ['x"} body{'] },
    { type: 'dimension', value: { value: Number.NaN, unit: 'px' } },
    { type: 'dimension', value: { value: 1, unit: 'px;color:red' } },
    { type: 'derived', derivation: { op: 'mix', from: ['a b'], by: [] } },
  ])('is not read out of %j', json => {
    expect(readValue(json)).toBeNull();
  });
});

describe('a typed length', () => {
  it('is worked out where it holds arithmetic', () => {
    expect(parseLength('24/16rem')).toEqual({ value: 1.5, unit: 'rem' });
    expect(parseLength('(2 + 1) * 0.5em')).toEqual({ value: 1.5, unit: 'em' });
    expect(parseArithmetic('1 + + 2')).toBe(3);
  });
  it('is refused without a unit, save 0, and where a sum has no end', () => {
    expect(parseLength('12')).toBeNull();
    expect(parseLength('0')).toEqual({ value: 0, unit: 'px' });
    expect(parseLength('1/0rem')).toBeNull();
    expect(parseArithmetic('2 *')).toBeNull();
    expect(parseArithmetic('1 2')).toBeNull();
  });
});

describe('a property', () => {
  it('says what it expected, in words', () => {
    const result = parsePropertyValue('12 bananas', propertyOf('paddingTop'), tokens);
    expect(result).toMatchObject({
      ok: false,
      problem: { expected: expect.stringContaining('a length such as 1.5rem'), found: '12 bananas' },
    });
  });
  it('refuses a token of another type, naming its type', () => {
    expect(parsePropertyValue('{size.space.one}', propertyOf('color'), tokens)).toMatchObject({
      ok: false,
      problem: { code: 'wrong-type', found: 'dimension' },
    });
  });
  it('takes the focus of a picture as two places, shares or lengths', () => {
    const focus = propertyOf('objectPosition');
    const value: Value = {
      type: 'position',
      x: { value: 30, unit: '%' },
      y: { value: 1.5, unit: 'rem' },
    };
    expect(parsePropertyValue('30% 1.5rem', focus, tokens)).toEqual({ ok: true, value });
    expect(printTyped(value, tokens)).toBe('30% 1.5rem');
    expect(readValue(JSON.parse(JSON.stringify(value)))).toEqual(value);
    expect(readValue({ ...value, x: { value: 1, unit: 'fr' } })).toBeNull();
    for (const typed of ['30%', '30% 1fr', '1% 2% 3%', 'left 2%'])
      expect(parsePropertyValue(typed, focus, tokens)).toMatchObject({
        ok: false,
        problem: { expected: expect.stringContaining('such as 30% 20%') },
      });
  });
  it('keeps to its range', () => {
    expect(accepts(propertyOf('opacity'), { type: 'number', value: 1.5 }).ok).toBe(false);
    expect(
      accepts(propertyOf('paddingTop'), { type: 'dimension', value: { value: -1, unit: 'px' } }).ok,
    ).toBe(false);
    expect(accepts(propertyOf('marginTop'), { type: 'dimension', value: { value: -1, unit: 'px' } }).ok).toBe(
      true,
    );
  });
  it('reads a growing size only from lengths that can grow evenly', () => {
    expect(parseLiteral('1rem .. 2rem', 'fluid')).toEqual({
      type: 'fluid',
      min: { value: 1, unit: 'rem' },
      max: { value: 2, unit: 'rem' },
    });
    expect(parseLiteral('1em .. 2em', 'fluid')).toBeNull();
  });
});
