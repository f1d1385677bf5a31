import {
  clusterColors,
  isFailure,
  literalOf,
  NO_REBINDS,
  nearSwatches,
  printPainted,
  roleContrasts,
  rolesOf,
  type Site,
  siteOf,
} from '@cove/core';
import {
  type Brand,
  completeBrand,
  createSite,
  NO_BRAND,
  readBrandData,
  readBrandFile,
  readBrandLines,
  readyGuide,
  SITE_STARTERS,
} from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';

const linesOf = (text: string) => {
  const read = readBrandLines(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const siteFor = (brand: Brand): Site => {
  const spec = completeBrand(brand, 'Carrow Bakehouse');
  if (!spec.ok) throw new Error(spec.problem.message);
  const guide = readyGuide(spec.value);
  return siteOf([
    ...guide.records,
    {
      id: 'settings',
      kind: 'settings',
      name: 'Carrow Bakehouse',
      language: 'en',
      home: 'home',
      ...guide.settings,
    },
  ]);
};
const failuresIn = (site: Site): string[] =>
  [...site.kinds.scheme.values()].flatMap(scheme =>
    rolesOf(site).flatMap(role =>
      roleContrasts(site, scheme.id, role.name)
        .filter(isFailure)
        .map(it => `${scheme.name}: ${role.name} on ${it.on}`),
    ),
  );

describe('what is typed of a brand', () => {
  it('is read in plain lines: colours with their purposes, families, sizes', () => {
    const { brand, unread } = linesOf(
      'Primary #0f4c5c, accent #e8863c\nheadings Fraunces, text Work Sans\nbase 17px, corners 4px\nratio 1.2; spacing 0.5rem',
    );
    expect(unread).toEqual([]);
    expect(brand).toEqual({
      swatches: [
        { name: 'Primary', color: '#0f4c5c', purpose: 'identity' },
        { name: 'Accent', color: '#e8863c', purpose: 'accent' },
      ],
      heading: 'Fraunces',
      text: 'Work Sans',
      code: null,
      base: '17px',
      ratio: 1.2,
      corners: '4px',
      space: '0.5rem',
    });
  });
  it.each([
    [
      'custom properties',
      ':root {\n  --brand-moss: #336640;\n  --font-heading: "Literata", Georgia, serif;\n}',
      ['Brand moss'],
      'Literata',
    ],
    ['colours alone', '#336640\nrebeccapurple', ['Green', 'Purple'], null],
    ['names in another script', '主色 #336640', ['主色'], null],
    ['comments', '/* Hull #ff0000 */\nMoss #336640', ['Moss'], null],
    ['a family the program spells otherwise', 'Moss #336640\nheadings: work sans', ['Moss'], 'Work Sans'],
  ])('reads %s', (_, text, names, heading) => {
    const { brand } = linesOf(text);
    expect(brand.swatches).toHaveLength(names.length);
    if (!text.startsWith('#')) expect(brand.swatches.map(it => it.name)).toEqual(names);
    expect(brand.heading).toBe(heading);
  });
  it.each([
    ['base 0', 'between 8px and 48px'],
    ['base -4px', 'between 8px and 48px'],
    ['base 3em', 'px or rem'],
    ['ratio 0', 'between 1.02 and 2'],
    ['ratio 50', 'between 1.02 and 2'],
    ['corners -1px', 'between 0px and 200px'],
    ['good morning', 'No colour, font or size'],
    ['headings "</style>"', 'No family'],
  ])('says with a reason that it cannot take %s', (text, reason) => {
    const { brand, unread } = linesOf(`Moss #336640\n${text}`);
    expect(unread).toEqual([expect.objectContaining({ line: 2, message: expect.stringContaining(reason) })]);
    expect(brand).toEqual({ ...NO_BRAND, swatches: brand.swatches });
  });
  it('takes no more than a brand has', () => {
    const { brand, unread } = linesOf(
      Array.from({ length: 90 }, (_, i) => `C${i} #3366${(i + 16).toString(16)}`).join('\n'),
    );
    expect(brand.swatches).toHaveLength(40);
    expect(unread).toHaveLength(1);
    expect(readBrandLines('x'.repeat(20_001)).ok).toBe(false);
  });
  it('gives every swatch a name of its own', () => {
    const { brand } = linesOf('Moss #336640\nmoss #446640\nMOSS #556640');
    expect(new Set(brand.swatches.map(it => it.name.toLowerCase())).size).toBe(3);
  });
});

describe('a brand that is sent', () => {
  const good = { ...NO_BRAND, swatches: [{ name: 'Moss', color: '#336640', purpose: 'identity' }] };
  it('is read as it was made', () => {
    const { brand } = linesOf('Moss #336640\nheadings Literata\nbase 17px\nratio 1.25');
    expect(readBrandData(JSON.parse(JSON.stringify(brand)))).toEqual({ ok: true, value: brand });
  });
  it.each([
    ['nothing', null],
    ['a list', []],
    ['no colour', { ...good, swatches: [] }],
    ['too many colours', { ...good, swatches: Array.from({ length: 41 }, () => good.swatches[0]) }],
    [
      'a colour that is none',
      { ...good, swatches: [{ name: 'Moss', color: 'url(x)', purpose: 'identity' }] },
    ],
    [
      'a purpose that is none',
      { ...good, swatches: [{ name: 'Moss', color: '#336640', purpose: '__proto__' }] },
    ],
    ['a name that is none', { ...good, swatches: [{ name: '', color: '#336640', purpose: 'none' }] }],
    ['a family that ends a string', { ...good, heading: 'a"; } body { display: none' }],
    ['a size that cannot be', { ...good, base: '0px' }],
    ['a ratio that cannot be', { ...good, ratio: 50 }],
    ['an infinite ratio', { ...good, ratio: Number.POSITIVE_INFINITY }],
  ])('is refused with %s', (_, data) => {
    expect(readBrandData(data).ok).toBe(false);
  });
});

describe('a guide that a brand comes to', () => {
  it('keeps the names and values that were typed, and adds what is missing', () => {
    const site = siteFor(
      linesOf('Action #1f6f4a, primary #7a2e1d\nheadings Fraunces\nbase 17px, ratio 1.2, corners 4px').brand,
    );
    const tokens = [...site.kinds.token.values()];
    const end = (group: string, name: string) => {
      const token = tokens.find(it => it.group === group && it.name === name);
      return token && literalOf(site.kinds.token, NO_REBINDS, token.value);
    };
    expect(end('Brand', 'Action')).toMatchObject({ type: 'color' });
    expect(end('Text', 'Base')).toEqual({ type: 'dimension', value: { value: 17, unit: 'px' } });
    // 17px × 1.2³, by hand.
    expect(end('Text', 'Step 3')).toMatchObject({ value: { value: expect.closeTo(29.376, 3) } });
    expect(end('Corners', 'Small')).toEqual({ type: 'dimension', value: { value: 4, unit: 'px' } });
    expect(tokens.filter(it => it.group === 'Status' && it.purpose).map(it => it.name)).toEqual(
      expect.arrayContaining(['Success', 'Warning', 'Danger', 'Info']),
    );
    expect([...site.kinds.scheme.values()].map(it => it.face)).toEqual(['light', 'light', 'dark', 'dark']);
  });
  it('has no two swatches alike that anybody chose: what is made for schemes is no clutter', () => {
    const site = siteFor(linesOf('Action #1f6f4a, primary #7a2e1d, neutral #78716c').brand);
    expect(nearSwatches(site)).toEqual([]);
  });
  it('needs a colour', () => {
    expect(completeBrand(NO_BRAND, 'Nothing')).toMatchObject({ ok: false, problem: { code: 'no-color' } });
  });

  // Hues all around, pale and deep, dull and strong; and palettes that leave little room.
  const palettes: readonly (readonly [string, string])[] = [
    ...Array.from({ length: 24 }, (_, i): readonly [string, string] => {
      const color = (l: number, c: number, h: number) => `oklch(${l} ${c} ${h % 360})`;
      return [
        `of hue ${i * 15}`,
        `Identity ${color(0.3 + (i % 6) * 0.1, 0.04 + (i % 5) * 0.04, i * 15)}\nAction ${color(0.45 + (i % 4) * 0.1, 0.15, i * 15 + 140)}`,
      ];
    }),
    ['of one grey', 'Ash #808080'],
    ['of black and white', 'Ink #000000\nPaper #ffffff'],
    ['of one yellow', 'Lamp #ffe600'],
    ['of four neons', 'Identity #ff00aa\nAction #00ffcc\naccent #ffee00\ndanger #ff2200'],
  ];
  it.each(palettes)('%s has no text that cannot be read, in any scheme', (_, text) => {
    const site = siteFor(linesOf(text).brand);
    expect(site.kinds.scheme.size).toBeGreaterThanOrEqual(3);
    expect(failuresIn(site)).toEqual([]);
  });
  it('dresses every ready site', () => {
    const spec = completeBrand(linesOf('Moss #336640').brand, 'Carrow Bakehouse');
    if (!spec.ok) throw new Error(spec.problem.message);
    for (const starter of SITE_STARTERS) {
      const site = createSite(starter, 'Carrow Bakehouse', name => `${name}.webp`, readyGuide(spec.value));
      expect(site.kinds.page.size).toBe(starter.pages.length);
      const words = JSON.stringify([...site.kinds.widget.values()].map(it => it.content));
      expect(words).not.toMatch(
        /\{name\}|ferr(y|ies)|island|\bboat|Tolvane|Hesk|Carrow(?! Bakehouse)|Sant Bree/i,
      );
    }
  });
});

describe('a file of a brand', () => {
  it('is read as tokens: an alias is no second colour (Design Tokens Format Module 2025.10, 7)', () => {
    const read = readBrandFile(
      JSON.stringify({
        color: {
          $type: 'color',
          moss: { $value: { colorSpace: 'srgb', components: [0.2, 0.4, 0.25], hex: '#336640' } },
          action: { $value: '{color.moss}' },
        },
        type: { body: { $type: 'fontFamily', $value: ['DM Sans', 'sans-serif'] } },
        radius: { small: { $type: 'dimension', $value: { value: 3, unit: 'px' } } },
      }),
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        brand: {
          swatches: [{ name: 'Moss', color: '#336640', purpose: 'identity' }],
          text: 'DM Sans',
          corners: '3px',
        },
      },
    });
  });
  it('is the style sheet of a site that is in use: what it uses most, and no junk', () => {
    const read = readBrandFile(`
      body { font: 17px/1.5 "DM Sans", sans-serif; color: #1d2433; background: #fdfbf7 }
      h1 { color: #1d2433; font-size: 40px } p { font-size: 17px; margin: 16px; color: #1d2433 }
      .card { background-color: #0f6b5c; box-shadow: 0 1px 5px 0 rgba(0,0,0,.2); border-radius: 6px; padding: 16px }`);
    expect(read).toMatchObject({
      ok: true,
      value: {
        brand: {
          swatches: [
            { name: 'Dark blue', color: '#1d2433' },
            { name: 'White', color: '#fdfbf7' },
            { name: 'Teal', color: '#0f6b5c' },
          ],
          text: 'DM Sans',
          base: '17px',
          corners: '6px',
          space: '16px',
        },
        unread: [],
      },
    });
  });
  it('says what is wrong with a broken one', () => {
    expect(readBrandFile('{"color": {').ok).toBe(false);
  });
});

describe('colours of a picture', () => {
  /** Pixels in bands: so many of each colour. */
  const bands = (
    ...parts: readonly (readonly [number, number, number, number, number])[]
  ): Uint8ClampedArray =>
    Uint8ClampedArray.from(
      parts.flatMap(([count, ...rgba]) => Array.from({ length: count }, () => rgba).flat()),
    );
  const hexes = (pixels: Uint8ClampedArray) => clusterColors(pixels).map(it => printPainted(it.color));

  it('are those it is painted in, the greatest first, with their shares', () => {
    const found = clusterColors(
      bands([600, 15, 76, 92, 255], [300, 232, 134, 60, 255], [100, 250, 250, 248, 255]),
    );
    expect(found.map(it => printPainted(it.color))).toEqual(['#0f4c5c', '#e8863c', '#fafaf8']);
    expect(found.map(it => it.share)).toEqual([0.6, 0.3, 0.1]);
  });
  it('leave out what is not seen, and what is hardly there', () => {
    expect(hexes(bands([900, 255, 0, 0, 0], [500, 15, 76, 92, 255], [1, 0, 255, 0, 255]))).toEqual([
      '#0f4c5c',
    ]);
    expect(clusterColors(new Uint8ClampedArray(0))).toEqual([]);
    expect(clusterColors(bands([4, 1, 2, 3, 0]))).toEqual([]);
  });
  it('take shades of one for one, and its edges for none', () => {
    // A mark on a ground, with the mixtures that smoothing draws around it.
    const mixed = Array.from({ length: 12 }, (_, i): readonly [number, number, number, number, number] => {
      const share = (i + 1) / 13;
      const at = (a: number, b: number) => Math.round(a * share + b * (1 - share));
      return [2, at(15, 250), at(76, 250), at(92, 250), 255];
    });
    const found = hexes(bands([800, 250, 250, 250, 255], [400, 15, 76, 92, 255], ...mixed));
    expect(found.slice(0, 2)).toEqual(['#fafafa', '#0f4c5c']);
    expect(found.length).toBeLessThanOrEqual(4);
  });
  it('are the same whenever they are asked for', () => {
    let seed = 7;
    const next = () => {
      seed = (seed * 1103515245 + 12345) % 2 ** 31;
      return seed % 256;
    };
    const noise = Uint8ClampedArray.from({ length: 40_000 }, (_, i) => (i % 4 === 3 ? 255 : next()));
    expect(hexes(noise)).toEqual(hexes(noise));
    expect(hexes(noise).length).toBeGreaterThan(2);
  });
});
