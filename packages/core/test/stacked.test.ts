import { describe, expect, it } from '@jest/globals';
import { nodeScope, type Scope } from '../src/cascade/index.ts';
import { type Color, parseColor } from '../src/color/index.ts';
import { readableColors } from '../src/measure/index.ts';
import {
  newlyUnreadable,
  textContrast,
  textsOnFill,
  textsOnPreset,
  unreadableTexts,
} from '../src/reach/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../src/site/index.ts';
import { createSite, READY_GUIDES, readyGuide, SITE_STARTERS } from '../src/starters/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (...edits: Edit[]): Site => must(applyChange(demo, { edits })).site;
const color = (css: string): Color => {
  const parsed = parseColor(css);
  if (!parsed) throw new Error(css);
  return parsed;
};
const styled = (id: Id, slot: string, value: unknown): Edit => ({
  op: 'set',
  id,
  path: ['styles', slot],
  value: typeof value === 'string' ? { type: 'color', value: color(value) } : value,
});
const scopeOf = (site: Site, node: Id): Scope => {
  const scope = nodeScope(site, 'home', node);
  if (!scope) throw new Error(node);
  return scope;
};
const ratioOf = (site: Site, node: Id, part = 'text') =>
  textContrast(site, scopeOf(site, node), part, 'wide')?.ratio;

describe('text as it is stacked', () => {
  // Contrast of pairs as WCAG 2.2 defines it; those of grey on white are well known (from memory: #767676 passes, #777777 does not).
  it.each([
    ['#000000', '#ffffff', 21],
    ['#767676', '#ffffff', 4.54],
    ['#777777', '#ffffff', 4.48],
    ['#ffffff', '#0000ff', 8.59],
  ])('%s on %s has a contrast of %d', (text, ground, ratio) => {
    const site = after(
      styled('welcome', 'box/backgroundColor', ground),
      styled('welcome-title', 'text/color', text),
    );
    expect(ratioOf(site, 'welcome-title')).toBeCloseTo(ratio, 1);
  });

  it('sees through what is see-through: white at a half over black is a grey of 128', () => {
    const site = after(
      styled('welcome', 'box/backgroundColor', '#000000'),
      styled('welcome-title', 'text/backgroundColor', 'rgb(255 255 255 / 0.5)'),
      styled('welcome-title', 'text/color', '#ffffff'),
    );
    // #808080 has a luminance of 0.2159 (WCAG 2.2, by hand): 1.05 / 0.2659.
    expect(ratioOf(site, 'welcome-title')).toBeCloseTo(3.95, 1);
  });

  it('fades words with what holds them', () => {
    const site = after(
      styled('welcome', 'box/backgroundColor', '#ffffff'),
      styled('welcome-title', 'text/color', '#000000'),
      styled('welcome-title', 'text/opacity', { type: 'number', value: 0.5 }),
    );
    // #7f7f7f has a luminance of 0.2122: 1.05 / 0.2622.
    expect(ratioOf(site, 'welcome-title')).toBeCloseTo(4, 1);
  });

  it('takes the stop of a gradient on which it can be read worst, and says nothing over a picture', () => {
    const stop = (css: string, at: number) => ({ color: { type: 'color', value: color(css) }, at });
    const gradient = {
      type: 'gradient',
      shape: 'linear',
      angle: 90,
      stops: [stop('#000000', 0), stop('#ffffff', 1)],
    };
    const words = styled('welcome-title', 'text/color', '#ffffff');
    const over = after(styled('welcome', 'box/backgroundImage', gradient), words);
    expect(ratioOf(over, 'welcome-title')).toBeCloseTo(1, 5);
    const [asset = ''] = [...demo.kinds.asset.keys()];
    const picture = { type: 'picture', asset, tint: null };
    expect(
      ratioOf(after(styled('welcome', 'box/backgroundImage', picture), words), 'welcome-title'),
    ).toBeUndefined();
  });

  it('asks less of large letters (WCAG 2.2, 1.4.3)', () => {
    const grey = styled('welcome-title', 'text/color', '#949494');
    const white = styled('welcome', 'box/backgroundColor', '#ffffff');
    expect(newlyUnreadable(demo, after(white, grey)).map(it => it.node)).not.toContain('welcome-title');
    const small = styled('welcome-title', 'text/fontSize', {
      type: 'dimension',
      value: { value: 16, unit: 'px' },
    });
    expect(newlyUnreadable(demo, after(white, grey, small)).map(it => it.node)).toContain('welcome-title');
  });

  it('is told of a fill by what stands on it, the worst first', () => {
    const site = after(styled('welcome', 'box/backgroundColor', '#eeeeee'));
    const on = textsOnFill(site, { scope: scopeOf(site, 'welcome'), part: 'box' }, 'wide');
    expect(on.map(it => it.node)).toEqual(expect.arrayContaining(['welcome-title', 'welcome-lead']));
    // Labels of buttons stand on a fill of their own.
    expect(on.map(it => it.node)).not.toContain('book');
    const shares = on.map(it => it.ratio / it.wanted);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  it('is told of a preset by what stands on all that wears it, where it is what fills them', () => {
    const site = after(styled('ticket', 'box/backgroundColor', '#3a3a3a'));
    const on = textsOnPreset(site, 'ticket', 'box', 'wide');
    // The card of the dogs has a fill of its own over that of the preset.
    const worn = ['sailing-hesk', 'sailing-carrow', 'sailing-little'];
    expect(on.map(it => it.node)).toEqual(expect.arrayContaining(worn));
    const poor = on.filter(it => it.ratio < it.wanted).map(it => it.node);
    expect(newlyUnreadable(demo, site).map(it => it.node)).toEqual(expect.arrayContaining(worn));
    expect(poor).toEqual(expect.arrayContaining(worn));
    expect(textsOnPreset(site, 'low-tide', 'box', 'wide')).toEqual([]);
  });

  it('finds nothing on any ready site in any ready guide', () => {
    expect(unreadableTexts(demo)).toEqual([]);
    for (const starter of SITE_STARTERS)
      for (const spec of READY_GUIDES) {
        const site = createSite(starter, 'Carrow Bakehouse', () => 'abcdef0123456789.webp', readyGuide(spec));
        expect(unreadableTexts(site)).toEqual([]);
      }
  });

  it('is mended by the nearest colour of the guide that reads', () => {
    const from = color('#c9c9d9');
    const white = color('#ffffff');
    const site = after(styled('welcome', 'box/backgroundColor', '#ffffff'));
    const scope = scopeOf(site, 'welcome-title');
    const reads = (it: Color) => {
      const shown = after(
        styled('welcome', 'box/backgroundColor', '#ffffff'),
        styled('welcome-title', 'text/color', { type: 'color', value: it }),
      );
      return (ratioOf(shown, 'welcome-title') ?? 0) >= 4.5;
    };
    const offers = readableColors(site, scope, from, 'text', reads);
    expect(offers.length).toBeGreaterThan(3);
    for (const { color: it } of offers) expect(reads(it)).toBe(true);
    expect(offers.map(it => it.color)).not.toContainEqual(white);
  });
});
