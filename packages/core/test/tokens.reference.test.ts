import { describe, expect, it } from '@jest/globals';
import { defineConfig, parse } from '@terrazzo/parser';
import StyleDictionary from 'style-dictionary';
import { calculateClamp } from 'utopia-core';
import { convert, parseColor } from '../src/color/index.ts';
import { literalOf, NO_REBINDS, toDesignTokens, tokenPath } from '../src/tokens/index.ts';
import { scaleStep } from '../src/type/index.ts';
import { printFluid } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';

const tokens = demoSite().kinds.token;
const written = toDesignTokens(tokens);

describe('fluid sizes, against utopia-core 1.6, calculateClamp', () => {
  it.each([
    [16, 18, 360, 1280],
    [14, 40, 320, 1600],
    [24, 24, 360, 1280],
    [30, 20, 400, 1000],
  ])('of %d to %d px between %d and %d px of viewport are the same at every width', (min, max, from, to) => {
    const ours = printFluid({ value: min, unit: 'px' }, { value: max, unit: 'px' }, { from, to });
    const theirs = calculateClamp({ minSize: min, maxSize: max, minWidth: from, maxWidth: to });
    const at = (css: string, viewport: number) => {
      const clamp = /^clamp\(([\d.]+)rem, (-?[\d.]+)rem \+ (-?[\d.]+)vw, ([\d.]+)rem\)$/.exec(css);
      if (!clamp) return Number.parseFloat(css) * 16;
      const [low = 0, base = 0, vw = 0, high = 0] = clamp.slice(1).map(Number);
      return Math.min(high * 16, Math.max(low * 16, base * 16 + (vw * viewport) / 100));
    };
    if (min === max) expect(ours).toBe('1.5rem');
    else
      for (const viewport of [from - 100, from, (from + to) / 2, to, to + 300])
        expect(Math.abs(at(ours, viewport) - at(theirs, viewport))).toBeLessThan(0.05);
  });
  it('keep a share in rem at every width, so that text can be zoomed (WCAG 2.2, 1.4.4)', () => {
    expect(printFluid({ value: 1, unit: 'rem' }, { value: 2, unit: 'rem' }, { from: 360, to: 1280 })).toMatch(
      /rem \+ .*vw/,
    );
  });
});

describe('a type scale, against its definition: size of step n = base × ratio^n', () => {
  it('multiplies by the ratio from step to step', () => {
    expect(scaleStep(1, 1.25, 3)).toBe(1.9531);
    expect(scaleStep(16, 1.5, -1)).toBe(10.6667);
  });
});

describe('exported tokens, against Design Tokens Format Module 2025.10', () => {
  it('are read by @terrazzo/parser without a complaint, to the same colours', async () => {
    const config = defineConfig({}, { cwd: new URL('file:///') });
    const { tokens: theirs } = await parse(
      [{ filename: new URL('file:///tokens.json'), src: JSON.stringify(written) }],
      { config },
    );
    let compared = 0;
    for (const token of tokens.values()) {
      const found = theirs[tokenPath(tokens, token.id)];
      expect(found).toBeDefined();
      const end = literalOf(tokens, NO_REBINDS, token.value);
      if (end?.type !== 'color' || found?.$type !== 'color') continue;
      const { components, colorSpace } = found.$value as { components: number[]; colorSpace: string };
      expect(colorSpace).toBe(end.value.space);
      expect(components).toEqual([...end.value.coords]);
      compared++;
    }
    expect(compared).toBeGreaterThan(10);
  });

  it('are read by style-dictionary 4.4, aliases and all', async () => {
    const dictionary = new StyleDictionary(
      {
        tokens: JSON.parse(JSON.stringify(written)),
        usesDtcg: true,
        platforms: { plain: { transforms: [] } },
      },
      { verbosity: 'silent' },
    );
    const platform = await dictionary.getPlatformTokens('plain');
    const all = new Map(platform.allTokens.map(token => [token.path.join('.'), token.$value]));
    for (const token of tokens.values()) expect(all.has(tokenPath(tokens, token.id))).toBe(true);
    expect(all.get('number.text.ratio')).toBe(1.25);
    expect(all.get('size.page.width')).toEqual({ value: 68, unit: 'rem' });
  });

  it('write a derived swatch as the colour it ends in, and keep how it was made', () => {
    const deep = written.color as {
      brand: {
        'hull-deep': { $value: { colorSpace: string }; $extensions: Record<string, { derived: string }> };
      };
    };
    expect(deep.brand['hull-deep'].$value.colorSpace).toBe('oklch');
    expect(deep.brand['hull-deep'].$extensions['example.cove-thread']?.derived).toBe(
      'shade({color.brand.hull}, 25%)',
    );
    const hull = parseColor('#2a3a5f');
    expect(hull && convert(hull, 'oklch').coords[0]).toBeGreaterThan(0.3);
  });
});
