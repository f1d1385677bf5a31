import { describe, expect, it } from '@jest/globals';
import { propertyOf } from '../src/properties/index.ts';
import {
  closure,
  DERIVATIONS,
  derivationNamed,
  follow,
  isCircular,
  literalOf,
  NO_REBINDS,
  parsePropertyValue,
  parseTokenValue,
  printTyped,
  slug,
  tokenAt,
  tokenPath,
} from '../src/tokens/index.ts';
import type { Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';

const tokens = demoSite().kinds.token;
const typed = (text: string, type: Parameters<typeof parseTokenValue>[1] = 'color') =>
  parseTokenValue(text, type, tokens);
const literal = (id: string, rebinds = NO_REBINDS) =>
  literalOf(tokens, rebinds, { type: 'token', token: id });

describe('a token’s path', () => {
  it('is made of type, group and name, and found again by it', () => {
    expect(tokenPath(tokens, 'hull-deep')).toBe('color.brand.hull-deep');
    expect(tokenAt(tokens, 'size.section-padding.snug')?.id).toBe('pad-snug');
    expect(tokenAt(tokens, 'color.brand.nobody')).toBeUndefined();
  });
  it('gets a number where two are named alike', () => {
    const hull = tokens.get('hull');
    if (!hull) throw new Error('gone');
    const both = new Map(tokens).set('hull-again', { ...hull, id: 'hull-again' });
    expect([tokenPath(both, 'hull'), tokenPath(both, 'hull-again')]).toEqual([
      'color.brand.hull',
      'color.brand.hull-2',
    ]);
  });
  it('is plain whatever the name holds', () => {
    expect(['Été à la mer', '  <b>{x}</b> ', '!!!', 'Ünïcode 2'].map(slug)).toEqual([
      'ete-a-la-mer',
      'b-x-b',
      'unnamed',
      'unicode-2',
    ]);
  });
});

describe('a derived token', () => {
  it.each([
    ['tint({color.brand.rope}, 40%)', 'tint'],
    ['shade({color.brand.rope}, 12.5%)', 'shade'],
    ['mix({color.brand.rope}, {color.brand.lamp}, 30%)', 'mix'],
    ['alpha({color.brand.rope}, 50%)', 'alpha'],
    ['lightness({color.brand.rope}, 70%)', 'lightness'],
  ])('is typed as %s and printed the same', (text, op) => {
    const read = typed(text);
    expect(read).toMatchObject({ ok: true, value: { type: 'derived', derivation: { op } } });
    if (read.ok) expect(printTyped(read.value, tokens)).toBe(text);
  });
  it.each([
    ['tint({color.brand.rope})', 'bad-derivation'],
    ['tint({color.brand.rope}, 140%)', 'bad-derivation'],
    ['tint({color.brand.nobody}, 20%)', 'unknown-token'],
    ['tint({size.space.one}, 20%)', 'wrong-type'],
    ['mix({color.brand.rope}, 20%)', 'bad-derivation'],
    ['times({size.space.one}, 2)', 'bad-derivation'],
    ['blend({color.brand.rope}, 20%)', 'bad-value'],
  ])('%s is refused as %s', (text, code) => {
    expect(typed(text)).toMatchObject({ ok: false, problem: { code } });
  });
  it('follows what it is made of, through aliases and other derivations', () => {
    const white: Value = { type: 'color', value: { space: 'srgb', coords: [1, 1, 1], alpha: 1 } };
    const deep = literal('rope-deep', { rope: white });
    expect(deep).not.toEqual(literal('rope-deep'));
    expect(deep?.type === 'color' && deep.value.coords[1]).toBeLessThan(0.001);
  });
  it('computes every kind from its starting numbers', () => {
    for (const rule of DERIVATIONS) {
      const inputs = rule.from.map(
        (type): Value =>
          type === 'color'
            ? { type: 'color', value: { space: 'oklch', coords: [0.5, 0.1, 200], alpha: 1 } }
            : type === 'number'
              ? { type: 'number', value: 1.2 }
              : { type: 'dimension', value: { value: 1, unit: 'rem' } },
      );
      expect(
        rule.compute(
          inputs,
          rule.by.map(by => by.start),
        ),
      ).not.toBeNull();
      expect(derivationNamed(rule.op)).toBe(rule);
    }
  });
  it('grows with what grows', () => {
    expect(literal('large')).toEqual({
      type: 'fluid',
      min: { value: 1.25, unit: 'rem' },
      max: { value: 1.4063, unit: 'rem' },
    });
  });
});

describe('the closure of a token', () => {
  it('is all that follows it, near and far, and nothing else', () => {
    expect([...closure(tokens, ['ratio'])].sort()).toEqual([
      'large',
      'ratio',
      'small',
      'step-2',
      'step-3',
      'step-4',
      'step-5',
    ]);
    expect([...closure(tokens, ['night'])].sort()).toEqual(['lift', 'night']);
    expect([...closure(tokens, ['lift'])]).toEqual(['lift']);
  });
  it('takes in what a rebinding ties to it, and leaves out what a rebinding unties', () => {
    expect(closure(tokens, ['hull'], { lamp: { type: 'token', token: 'hull' } })).toContain('lamp');
    expect(closure(tokens, ['hull'], { 'hull-deep': { type: 'token', token: 'lamp' } })).not.toContain(
      'hull-deep',
    );
  });
});

describe('following a value', () => {
  it('passes every token on the way', () => {
    const way = follow(tokens, { lamp: { type: 'token', token: 'hull' } }, { type: 'token', token: 'lamp' });
    expect(way?.steps.map(step => step.token)).toEqual(['lamp', 'hull']);
    expect(way?.literal).toEqual(tokens.get('hull')?.value);
  });
  it('ends in nothing in a circle or at a missing token', () => {
    const circle = {
      hull: { type: 'token', token: 'lamp' },
      lamp: { type: 'token', token: 'hull' },
    } as const;
    expect(follow(tokens, circle, { type: 'token', token: 'hull' })).toBeNull();
    expect(literalOf(tokens, NO_REBINDS, { type: 'token', token: 'nobody' })).toBeNull();
    expect(isCircular(id => (id === 'hull' || id === 'lamp' ? circle[id] : null), 'hull')).toBe(true);
    expect(isCircular(id => tokens.get(id)?.value ?? null, 'hull-deep')).toBe(false);
  });
});

describe('what is typed into a property', () => {
  it.each([
    ['color', '{color.brand.hull}', { type: 'token', token: 'hull' }],
    ['color', 'role.link', { type: 'role', role: 'link' }],
    ['boxShadow', 'none', { type: 'keyword', value: 'none' }],
    ['paddingTop', '24/16rem', { type: 'dimension', value: { value: 1.5, unit: 'rem' } }],
    ['paddingTop', '1rem .. 2rem', { type: 'fluid' }],
    ['fontWeight', '650', { type: 'number', value: 650 }],
    ['transitionDuration', '0.2s', { type: 'duration', value: 200 }],
    ['transitionTimingFunction', 'cubic-bezier(0.2, 0, 0, 1)', { type: 'cubicBezier' }],
    ['fontFamily', 'Heading', { type: 'token', token: 'display' }],
    ['fontFamily', '"Heading", serif', { type: 'fontFamily', value: ['Heading', 'serif'] }],
    ['fontFamily', 'Headings, serif', { type: 'fontFamily', value: ['Headings', 'serif'] }],
    [
      'boxShadow',
      'inset 0 1px 2px role.line',
      { type: 'shadow', value: [{ inset: true, color: { type: 'role', role: 'line' } }] },
    ],
  ] as const)('%s takes %s', (property, text, value) => {
    expect(parsePropertyValue(text, propertyOf(property), tokens)).toMatchObject({ ok: true, value });
  });
  it.each([
    ['color', 'role.nothing'],
    ['color', '12px'],
    ['paddingTop', 'role.link'],
    ['paddingTop', '1fr'],
    ['fontWeight', '1200'],
    ['display', 'inline-table'],
    ['transitionTimingFunction', 'cubic-bezier(2, 0, 0, 1)'],
    ['boxShadow', '0 1px'],
    ['opacity', '{number.text.nobody}'],
  ] as const)('%s refuses %s, keeping what was typed', (property, text) => {
    expect(parsePropertyValue(text, propertyOf(property), tokens)).toMatchObject({
      ok: false,
      problem: { found: expect.anything() },
    });
  });
});
