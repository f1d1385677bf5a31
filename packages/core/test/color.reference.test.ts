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
  printPainted,
  printRatio,
  toGamut,
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
  it('is shown so that it never contradicts its verdict: cut, not rounded', () => {
    expect([4.4999, 4.5, 2.996, 21, 3.0049].map(printRatio)).toEqual([
      '4.49',
      '4.50',
      '2.99',
      '21.00',
      '3.00',
    ]);
    for (let ratio = 1; ratio < 21; ratio += 0.00137)
      for (const wanted of [3, 4.5, 7]) expect(Number(printRatio(ratio)) >= wanted).toBe(ratio >= wanted);
  });
  it('is that of the painted colour: what lies outside sRGB is mapped before it is measured', () => {
    const teal = read('oklch(0.547 0.18 200)');
    expect(contrast(teal, read('white'))).toBeCloseTo(contrast(read(printPainted(teal)), read('white')), 12);
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

describe('reading colours of CSS Color Module Level 5, as Chromium 156 computes them', () => {
  /** `getComputedStyle(…).backgroundColor` of Chromium 156, noted on 2026-11-29. */
  it.each([
    ['hsl(200 140% 50%)', 'rgb(0 187 255)'],
    ['hsl(200, 140%, 50%)', 'rgb(0 170 255)'],
    ['hsl(20 120% 80%)', 'rgb(255 184 143)'],
    ['hwb(200 80% 60%)', 'rgb(146 146 146)'],
    ['color-mix(in oklch, white, red)', 'oklch(0.81398 0.128877 29.2346)'],
    ['color-mix(in oklch, oklch(0.6 0.000001 200), red)', 'oklch(0.613983 0.128853 114.617)'],
    ['color-mix(in oklch, oklch(0.5 0 30), red)', 'oklch(0.563983 0.128852 29.6173)'],
    ['color-mix(in oklch, oklch(0.5 0 none), red)', 'oklch(0.563983 0.128852 29.2346)'],
    ['color-mix(in lch, gray, blue)', 'lch(41.5748 65.6123 301.368)'],
    ['color-mix(in hsl, gray, blue)', 'color(srgb 0.251471 0.251471 0.75049)'],
    ['color-mix(in oklch longer hue, red, blue 20%)', 'oklch(0.592769 0.268805 76.1979)'],
    ['color-mix(red, blue)', 'oklab(0.539974 0.0962086 -0.0928316)'],
    ['color-mix(in srgb, red 30%, blue 30%)', 'color(srgb 0.5 0 0.5 / 0.6)'],
    ['color-mix(in srgb, red 80%, blue 80%)', 'color(srgb 0.5 0 0.5)'],
    ['hsl(from gray h 50% 50%)', 'color(srgb 0.75 0.25 0.25)'],
    ['oklch(from red calc(l + 0.1) c h)', 'oklch(0.727966 0.257704 29.2346)'],
    ['rgb(from red calc(r / 2) g b / 40%)', 'color(srgb 0.5 0 0 / 0.4)'],
    ['color(from red display-p3 r g b)', 'color(display-p3 0.91753 0.200241 0.138502)'],
    ['oklch(calc(0.2 + 0.3) 0.1 200)', 'oklch(0.5 0.1 200)'],
    ['light-dark(red, blue)', 'rgb(255 0 0)'],
    ['rgb(none 200 20)', 'rgb(0 200 20)'],
    ['hsl(none 50% 50%)', 'rgb(191 64 64)'],
    ['oklch(50% 50% 0.5turn)', 'oklch(0.5 0.2 180)'],
  ])('%s is %s', (text, computed) => {
    const [ours, theirs] = [read(text), read(computed)];
    // A colour that Chromium has in 8 bit is told to half of one.
    const fine = computed.startsWith('rgb') ? 0.5 / 255 : 4e-4;
    const [a, b] = [convert(ours, 'srgb').coords, convert(theirs, 'srgb').coords];
    for (const k of [0, 1, 2] as const) expect(Math.abs(a[k] - b[k])).toBeLessThanOrEqual(fine + 1e-6);
    expect(ours.alpha).toBeCloseTo(theirs.alpha, 6);
  });
  it.each([
    'color-mix(in oklch, red)',
    'color-mix(in nowhere, red, blue)',
    'color-mix(in srgb, red 0%, blue 0%)',
    'color-mix(in srgb shorter hue, red, blue)',
    'oklch(from red l c)',
    'oklch(from var(--x) l c h)',
    'rgb(from red calc(r + 10%) g b)',
    'calc(1)',
    'light-dark(red)',
    `${'color-mix(in srgb, '.repeat(40)}red${', blue)'.repeat(40)}`,
    `rgb(${'calc('.repeat(40)}1${')'.repeat(40)} 0 0)`,
  ])('does not read %s', text => {
    expect(parseColor(text)).toBeNull();
  });
  it('refuses a text at the limit that repeats what could begin something', () => {
    for (const piece of ['calc(', 'red ', '- ', '1e', '{', 'a', '(', 'color-mix(in srgb,'])
      expect(parseColor(piece.repeat(4000).slice(0, 2000))).toBeNull();
  });
});

describe('mapping into sRGB, against CSS Color Module Level 4, section 13.2', () => {
  it('agrees with colorjs.io, method "css", on colours out of gamut', () => {
    const random = seeded(8);
    for (let i = 0; i < 60; i++) {
      const [l, c, h] = [0.2 + random.next() * 0.6, 0.2 + random.next() * 0.2, random.next() * 360];
      const ours = printPainted({ space: 'oklch', coords: [l, c, h], alpha: 1 });
      const theirs = new Colorjs('oklch', [l, c, h]).to('srgb').toGamut({ method: 'css' });
      const [r, g, b] = toGamut({ space: 'oklch', coords: [l, c, h], alpha: 1 }).coords;
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
