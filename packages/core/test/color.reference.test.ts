import { describe, expect, it } from '@jest/globals';
import Colorjs from 'colorjs.io';
import { converter, parse as culoriParse, type Mode } from 'culori';
import {
  type ColorSpaceId,
  contrast,
  convert,
  mix,
  parseColor,
  printColor,
  printHex,
  toSrgbGamut,
} from '../src/color/index.ts';
import { seeded } from './support/random.ts';

const read = (text: string) => {
  const color = parseColor(text);
  if (!color) throw new Error(`${text} was not read`);
  return color;
};

describe('contrast, against WCAG 2.2, definitions of "relative luminance" and "contrast ratio"', () => {
  it('is 21 between black and white, the most there is', () => {
    expect(contrast(read('black'), read('white'))).toBeCloseTo(21, 10);
  });
  it('is 1 of a colour on itself, and does not depend on which is the text', () => {
    expect(contrast(read('#6f3b8c'), read('#6f3b8c'))).toBe(1);
    expect(contrast(read('#6f3b8c'), read('#f5fbff'))).toBe(contrast(read('#f5fbff'), read('#6f3b8c')));
  });
  it('tells #767676 on white just above 4.5 and #777777 just below (from memory: the usual example)', () => {
    expect(contrast(read('#767676'), read('#fff'))).toBeGreaterThanOrEqual(4.5);
    expect(contrast(read('#777777'), read('#fff'))).toBeLessThan(4.5);
  });
  it('agrees with colorjs.io, method WCAG21, on 300 random pairs', () => {
    const random = seeded(21);
    for (let i = 0; i < 300; i++) {
      const hex = () => `#${random.int(0xffffff).toString(16).padStart(6, '0')}`;
      const [a, b] = [hex(), hex()];
      expect(contrast(read(a), read(b))).toBeCloseTo(new Colorjs(a).contrast(b, 'WCAG21'), 2);
    }
  });
});

describe('conversion, against CSS Color Module Level 4, section 17, as culori and colorjs.io carry it out', () => {
  const COLORJS: Record<ColorSpaceId, string> = {
    srgb: 'srgb',
    'srgb-linear': 'srgb-linear',
    'display-p3': 'p3',
    'a98-rgb': 'a98rgb',
    'prophoto-rgb': 'prophoto',
    rec2020: 'rec2020',
    hsl: 'hsl',
    hwb: 'hwb',
    lab: 'lab',
    lch: 'lch',
    oklab: 'oklab',
    oklch: 'oklch',
    'xyz-d50': 'xyz-d50',
    'xyz-d65': 'xyz-d65',
  };
  it('agrees with colorjs.io in every space, on 100 random colours each', () => {
    const random = seeded(4);
    for (const [space, theirs] of Object.entries(COLORJS)) {
      for (let i = 0; i < 100; i++) {
        const coords = [random.next(), random.next(), random.next()] as const;
        const ours = convert({ space: 'srgb', coords, alpha: 1 }, space as ColorSpaceId).coords;
        const [a, b, c] = new Colorjs('srgb', [...coords]).to(theirs).coords;
        expect(ours[0]).toBeCloseTo(a ?? 0, 3);
        expect(ours[1]).toBeCloseTo(b ?? 0, 3);
        expect(ours[2]).toBeCloseTo(c ?? 0, 2);
      }
    }
  });
  it('comes back to where it began, through every space', () => {
    const random = seeded(5);
    for (const space of Object.keys(COLORJS) as ColorSpaceId[])
      for (let i = 0; i < 50; i++) {
        const coords = [random.next(), random.next(), random.next()] as const;
        const back = convert(convert({ space: 'srgb', coords, alpha: 1 }, space), 'srgb').coords;
        for (const k of [0, 1, 2] as const) expect(back[k]).toBeCloseTo(coords[k], 6);
      }
  });
  it('agrees with culori in OKLCH', () => {
    const oklch = converter('oklch' as Mode & 'oklch');
    const random = seeded(6);
    for (let i = 0; i < 100; i++) {
      const hex = `#${random.int(0xffffff).toString(16).padStart(6, '0')}`;
      const theirs = oklch(hex);
      const [l, c] = convert(read(hex), 'oklch').coords;
      expect(l).toBeCloseTo(theirs?.l ?? 0, 5);
      expect(c).toBeCloseTo(theirs?.c ?? 0, 5);
    }
  });
});

describe('reading colours, against CSS Color Module Level 4, sections 4 to 10', () => {
  it.each([
    '#abc',
    '#abcd',
    '#aabbcc',
    '#aabbccdd',
    'rebeccapurple',
    'rgb(79 70 229)',
    'rgb(79, 70, 229)',
    'rgba(79, 70, 229, 0.5)',
    'rgb(10% 20% 30% / 40%)',
    'hsl(210 50% 40%)',
    'hsl(210deg, 50%, 40%)',
    'hwb(120 20% 30%)',
    'lab(50 20 -30)',
    'lab(50% 20% -30%)',
    'lch(50 30 270)',
    'oklab(0.5 0.1 -0.1)',
    'oklch(0.84 0.155 88)',
    'oklch(84% 50% 88deg / 0.5)',
    'color(display-p3 0.2 0.4 0.6)',
    'color(srgb-linear 0.1 0.2 0.3)',
  ])('reads %s as culori does', text => {
    const rgb = converter('rgb');
    const theirs = rgb(culoriParse(text));
    const ours = convert(read(text), 'srgb');
    expect(ours.coords[0]).toBeCloseTo(theirs?.r ?? Number.NaN, 4);
    expect(ours.coords[1]).toBeCloseTo(theirs?.g ?? Number.NaN, 4);
    expect(ours.coords[2]).toBeCloseTo(theirs?.b ?? Number.NaN, 4);
    expect(ours.alpha).toBeCloseTo(theirs?.alpha ?? 1, 6);
  });
  it.each([
    '',
    'blurple',
    '#ab',
    '#ggg',
    'rgb(1 2)',
    'rgb(1 2 3 4)',
    'oklch(0.5 0.1)',
    'oklch(0.5, 0.1, 20)',
    'url(x)',
    'var(--x)',
    'red;} body{display:none',
    'rgb(1 2 3',
    'constructor',
    '__proto__',
  ])('does not read %s', text => {
    expect(parseColor(text)).toBeNull();
  });
  it('keeps the space it was written in, and prints what reads back as the same', () => {
    const random = seeded(7);
    for (const space of ['srgb', 'hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'display-p3'] as const)
      for (let i = 0; i < 60; i++) {
        const it = convert(
          {
            space: 'srgb',
            coords: [random.next(), random.next(), random.next()],
            alpha: random.int(2) ? 1 : random.next(),
          },
          space,
        );
        expect(parseColor(printColor(it))).toEqual(it);
      }
    expect(printColor(read('oklch(0.84 0.155 88)'))).toBe('oklch(0.84 0.155 88)');
    expect(printColor(read('#2a3a5f'))).toBe('#2a3a5f');
  });
});

describe('mapping into sRGB, against CSS Color Module Level 4, section 13.2', () => {
  it('agrees with colorjs.io, method "css", on colours out of gamut', () => {
    const random = seeded(8);
    for (let i = 0; i < 60; i++) {
      const [l, c, h] = [0.2 + random.next() * 0.6, 0.2 + random.next() * 0.2, random.next() * 360];
      const ours = printHex({ space: 'oklch', coords: [l, c, h], alpha: 1 });
      const theirs = new Colorjs('oklch', [l, c, h]).to('srgb').toGamut({ method: 'css' });
      const [r, g, b] = toSrgbGamut({ space: 'oklch', coords: [l, c, h], alpha: 1 }).coords;
      const [x, y, z] = theirs.coords;
      for (const [mine, other] of [
        [r, x],
        [g, y],
        [b, z],
      ] as const)
        expect(Math.abs(mine - (other ?? 0))).toBeLessThan(0.02);
      expect(ours).toMatch(/^#[0-9a-f]{6}$/);
    }
  });
});

describe('mixing, against CSS Color Module Level 5, color-mix() in OKLCH', () => {
  it('agrees with colorjs.io on the shorter arc', () => {
    const random = seeded(9);
    for (let i = 0; i < 60; i++) {
      const hex = () => `#${random.int(0xffffff).toString(16).padStart(6, '0')}`;
      const [a, b, share] = [hex(), hex(), random.next()];
      const theirs = new Colorjs(a).mix(b, share, { space: 'oklch', hue: 'shorter' }).to('oklab');
      const ours = convert(mix(read(a), read(b), share), 'oklab').coords;
      for (const k of [0, 1, 2] as const) expect(ours[k]).toBeCloseTo(theirs.coords[k] ?? 0, 4);
    }
  });
  it('takes the other hue where one colour has none', () => {
    expect(mix(read('#6f3b8c'), read('white'), 0.5).coords[2]).toBeCloseTo(
      convert(read('#6f3b8c'), 'oklch').coords[2],
      6,
    );
  });
});
