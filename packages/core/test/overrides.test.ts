import { describe, expect, it } from '@jest/globals';
import { computedStyles, nodeScope } from '../src/cascade/index.ts';
import {
  alike,
  carryLook,
  hiddenFrom,
  hideFrom,
  keepsLook,
  type Promotion,
  promote,
  promoteToToken,
  RANGES,
  resetOverrides,
  siblingsFor,
} from '../src/commands/index.ts';
import { overridesOf } from '../src/measure/index.ts';
import type { Facet, PropertyName } from '../src/properties/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site, stableText } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;

/** Two buttons in a row, one elsewhere, and a notice; the first button is dressed by hand. */
const site = tiny(b => {
  b.preset('soft', 'Soft', { 'box/opacity': 0.9 });
  b.widget('row', 'one', 'group', {});
  b.widget(
    'a',
    'row',
    'button',
    { label: 'A' },
    {
      variants: { kind: 'outlined' },
      wears: ['soft'],
      styles: { 'box/opacity': 0.4, 'box/paddingTop': '9px', 'box:hover/color': '{color.brand.foam}' },
    },
  );
  b.widget(
    'b',
    'row',
    'button',
    { label: 'B' },
    { styles: { 'box/paddingTop': '2px', 'box/marginTop': '1px' } },
  );
  b.widget('n', 'one', 'notice', { text: [[{ text: 'Fog' }]] });
  b.section('two', 'home', 'Two', { scheme: 'dark', styles: { 'box/paddingTop': '7px' } });
  b.widget('c', 'two', 'button', { label: 'C' });
  b.page('below', 'below', 'Below', '', { parent: 'home' });
  b.section('three', 'below', 'Three');
  b.widget('d', 'three', 'button', { label: 'D' });
});
const css = (of: Site, id: string, property: PropertyName, part = 'box'): string | undefined => {
  const page = ['d', 'three'].includes(id) ? 'below' : 'home';
  const scope = nodeScope(of, page, id);
  return scope ? computedStyles(of, scope, part, ['rest'], 'wide').get(property) : undefined;
};
const widget = (of: Site, id: string) => {
  const found = of.kinds.widget.get(id);
  if (!found) throw new Error(id);
  return found;
};

describe('an override', () => {
  it('is listed with its thing, in the order in which things stand, for a page or the whole site', () => {
    expect(overridesOf(site, 'home').map(it => `${it.node} ${it.key}`)).toEqual([
      'a box/opacity',
      'a box/paddingTop',
      'a box:hover/color',
      'b box/paddingTop',
      'b box/marginTop',
      'two box/paddingTop',
    ]);
    expect(overridesOf(site, 'below')).toEqual([]);
    expect(overridesOf(site)).toHaveLength(6);
    const declared = after(site, [
      { op: 'set', id: 'd', path: ['declarations', 'box/tab-size'], value: '2' },
    ]);
    expect(overridesOf(declared, 'below')).toEqual([{ node: 'd', at: 'declarations', key: 'box/tab-size' }]);
  });
  it('of the demo is each counted once, though the header stands on every page', () => {
    const all = overridesOf(demo);
    expect(new Set(all.map(it => `${it.node} ${it.at} ${it.key}`)).size).toBe(all.length);
    const slots = [...demo.kinds.widget.values(), ...demo.kinds.section.values()].reduce(
      (sum, it) => sum + Object.keys(it.styles).length,
      0,
    );
    expect(all).toHaveLength(slots);
  });
  it('is reset by itself, or all together, and undone to the byte', () => {
    const [first] = overridesOf(site);
    const one = after(site, resetOverrides(site, first ? [first] : []));
    expect(Object.keys(widget(one, 'a').styles)).toEqual(['box/paddingTop', 'box:hover/color']);
    const done = must(applyChange(site, { edits: resetOverrides(site, overridesOf(site)) }));
    expect(overridesOf(done.site)).toEqual([]);
    expect(resetOverrides(done.site, overridesOf(site))).toEqual([]);
    const back = after(done.site, done.inverse);
    for (const kind of ['widget', 'section'] as const)
      expect(stableText(Object.fromEntries(back.kinds[kind]))).toBe(
        stableText(Object.fromEntries(site.kinds[kind])),
      );
  });
});

describe('a value that is promoted', () => {
  const every: Promotion = { type: 'default', place: null };
  it('becomes the default of its kind: others follow, and so does the one it came from', () => {
    const done = after(site, must(promote(site, 'a', ['box/paddingTop'], every)));
    expect(widget(done, 'a').styles['box/paddingTop']).toBeUndefined();
    for (const id of ['a', 'c', 'd']) expect(css(done, id, 'paddingTop')).toBe('9px');
    // What is set by hand elsewhere stays.
    expect(css(done, 'b', 'paddingTop')).toBe('2px');
    expect(css(done, 'a', 'opacity')).toBe('0.4');
  });
  it('becomes a rule for a place, and holds there alone', () => {
    const to: Promotion = { type: 'default', place: { type: 'scheme', scheme: 'day' } };
    const done = after(site, must(promote(site, 'a', ['box/paddingTop'], to)));
    expect(css(done, 'a', 'paddingTop')).toBe('9px');
    expect(css(done, 'd', 'paddingTop')).toBe('9px');
    expect(css(done, 'c', 'paddingTop')).not.toBe('9px');
  });
  it('becomes part of a variant, or of a preset by kind of part', () => {
    const varied = after(
      site,
      must(promote(site, 'a', ['box/paddingTop'], { type: 'variant', variant: 'outlined', place: null })),
    );
    expect(css(varied, 'a', 'paddingTop')).toBe('9px');
    expect(css(varied, 'd', 'paddingTop')).not.toBe('9px');
    const slots = ['box/opacity', 'box:hover/color'];
    const worn = after(site, must(promote(site, 'a', slots, { type: 'preset', preset: 'soft' })));
    expect(worn.kinds.preset.get('soft')?.styles['box/opacity']).toEqual({ type: 'number', value: 0.4 });
    expect(Object.keys(worn.kinds.preset.get('soft')?.styles ?? {})).toContain('box:hover/color');
  });
  it('becomes a token that the slot names from then on', () => {
    const { edits, token } = must(
      promoteToToken(site, 'a', 'box/paddingTop', { group: 'Space', name: 'Snug' }),
    );
    const done = after(site, edits);
    expect(done.kinds.token.get(token)).toMatchObject({ type: 'dimension', group: 'Space', name: 'Snug' });
    expect(widget(done, 'a').styles['box/paddingTop']).toEqual({ type: 'token', token });
    expect(css(done, 'a', 'paddingTop')).toBe('9px');
    expect(promoteToToken(site, 'a', 'box:hover/color', { group: 'Brand', name: 'X' }).ok).toBe(false);
  });
  it('takes those along that carry the very same, and look as they do by the rule alone', () => {
    const same = after(site, [
      {
        op: 'set',
        id: 'c',
        path: ['styles', 'box/paddingTop'],
        value: widget(site, 'a').styles['box/paddingTop'],
      },
      {
        op: 'set',
        id: 'd',
        path: ['styles', 'box/paddingTop'],
        value: widget(site, 'a').styles['box/paddingTop'],
      },
    ]);
    const slots = ['box/paddingTop'];
    // b has another value; the others have this one.
    expect(siblingsFor(same, 'a', slots, every).sort()).toEqual(['c', 'd']);
    const done = after(same, must(promote(same, 'a', slots, every, ['c', 'd'])));
    for (const id of ['a', 'c', 'd']) {
      expect(widget(done, id).styles['box/paddingTop']).toBeUndefined();
      expect(css(done, id, 'paddingTop')).toBe('9px');
    }
    // c stands where the rule does not hold, so it would look another.
    const onDay: Promotion = { type: 'default', place: { type: 'scheme', scheme: 'day' } };
    expect(siblingsFor(same, 'a', slots, onDay)).toEqual(['d']);
    expect(siblingsFor(site, 'a', slots, every)).toEqual([]);
  });
  it('leaves the thing as it looks, or is not offered', () => {
    const slots = ['box/paddingTop'];
    const edits = must(promote(site, 'a', slots, every));
    expect(keepsLook(site, 'a', slots, edits)).toBe(true);
    const variant: Promotion = { type: 'variant', variant: 'outlined', place: null };
    expect(keepsLook(site, 'a', slots, must(promote(site, 'a', slots, variant)))).toBe(true);
    // A variant that says it already hides the default of all.
    const hidden = after(site, must(promote(site, 'a', slots, variant)));
    const again = after(hidden, [
      {
        op: 'set',
        id: 'a',
        path: ['styles', 'box/paddingTop'],
        value: { type: 'dimension', value: { value: 31, unit: 'px' } },
      },
    ]);
    expect(keepsLook(again, 'a', slots, must(promote(again, 'a', slots, every)))).toBe(false);
  });
  it('is refused where nothing of it is left', () => {
    expect(promote(site, 'c', ['box/paddingTop'], every).ok).toBe(false);
    expect(promote(site, 'gone', ['box/paddingTop'], every).ok).toBe(false);
    expect(promote(site, 'a', ['box/paddingTop'], { type: 'variant', variant: 'gone', place: null }).ok).toBe(
      false,
    );
  });
});

describe('a look that is carried', () => {
  it('finds others of the kind in the row, the section, the page and the site', () => {
    expect(RANGES.map(range => alike(site, 'a', range))).toEqual([['b'], ['b'], ['b', 'c'], ['b', 'c', 'd']]);
    expect(alike(site, 'one', 'page')).toEqual(['two']);
    expect(alike(site, 'one', 'site')).toEqual(['two', 'three']);
  });
  it('takes the place of theirs whole: variants, presets and what is set by hand, not the words', () => {
    const { edits, left } = must(carryLook(site, 'a', ['b', 'd']));
    expect(left).toEqual([]);
    const done = after(site, edits);
    for (const id of ['b', 'd']) {
      const node = widget(done, id);
      expect(node.styles).toEqual(widget(site, 'a').styles);
      expect(node.variants).toEqual({ kind: 'outlined' });
      expect(Object.values(node.wears).map(it => it.preset)).toEqual(['soft']);
      expect(node.content).toEqual(widget(site, id).content);
    }
    expect(css(done, 'd', 'paddingTop')).toBe('9px');
  });
  it('takes one facet alone, and leaves the others as they were', () => {
    const done = after(site, must(carryLook(site, 'a', ['b'], new Set<Facet>(['space']))).edits);
    expect(Object.keys(widget(done, 'b').styles)).toEqual(['box/paddingTop']);
    expect(css(done, 'b', 'paddingTop')).toBe('9px');
    expect(widget(done, 'b').wears).toEqual({});
  });
  it('goes to parts of the same kind in another widget, and tells what does not fit', () => {
    const { edits, left } = must(carryLook(site, 'a', ['n']));
    expect(after(site, edits).kinds.widget.get('n')?.variants).toEqual({});
    expect(left).toEqual([{ node: 'n', slots: expect.arrayContaining(['box:hover/color']) }]);
  });
  it('of a section brings its scheme', () => {
    const done = after(site, must(carryLook(site, 'two', ['three'])).edits);
    expect(done.kinds.section.get('three')).toMatchObject({ scheme: 'dark' });
    expect(css(done, 'three', 'paddingTop')).toBe('7px');
  });
});

describe('a thing hidden at a width', () => {
  it('is not shown from there downwards, stays in the page, and is shown again', () => {
    const narrow = after(site, hideFrom(site, 'a', 'narrow'));
    const display = (of: Site, width: 'wide' | 'medium' | 'narrow') => {
      const scope = nodeScope(of, 'home', 'a');
      return scope && computedStyles(of, scope, 'box', ['rest'], width).get('display');
    };
    expect(hiddenFrom(site, 'a')).toBeNull();
    expect(hiddenFrom(narrow, 'a')).toBe('narrow');
    expect([display(narrow, 'medium'), display(narrow, 'narrow')]).toEqual(['inline-flex', 'none']);
    const medium = after(narrow, hideFrom(narrow, 'a', 'medium'));
    expect([display(medium, 'wide'), display(medium, 'medium')]).toEqual(['inline-flex', 'none']);
    expect(hiddenFrom(medium, 'a')).toBe('medium');
    const shown = after(medium, hideFrom(medium, 'a', null));
    expect(widget(shown, 'a').styles).toEqual(widget(site, 'a').styles);
  });
  it('is hidden whichever of its parts is the outermost', () => {
    const ruled = tiny(b => b.widget('line', 'one', 'divider', { direction: 'across', mark: null }));
    const done = after(ruled, hideFrom(ruled, 'line', 'narrow'));
    expect(Object.keys(widget(done, 'line').styles)).toEqual(
      expect.arrayContaining(['line@narrow/display', 'upright@narrow/display', 'box@narrow/display']),
    );
    expect(hiddenFrom(done, 'line')).toBe('narrow');
  });
});

describe('random promotions and carries', () => {
  it.each([1, 2, 3, 4, 5, 6])('keep every invariant and are undone to the byte, seed %i', seed => {
    const random = seeded(seed);
    const nodes = [...demo.kinds.widget.keys(), ...demo.kinds.section.keys()];
    let now = demo;
    const inverses: (readonly Edit[])[] = [];
    for (let i = 0; i < 25; i++) {
      const from = random.pick(nodes);
      const overrides = overridesOf(now);
      const chosen = overrides[random.int(Math.max(1, overrides.length))];
      const edits =
        random.int(2) === 0
          ? must(carryLook(now, from, alike(now, from, random.pick(RANGES)).slice(0, 4))).edits
          : chosen?.at === 'styles'
            ? must(promote(now, chosen.node, [chosen.key], { type: 'default', place: null }))
            : [];
      const done = must(applyChange(now, { edits }));
      inverses.push(done.inverse);
      now = done.site;
    }
    for (const inverse of inverses.reverse()) now = after(now, inverse);
    for (const kind of ['widget', 'section', 'default'] as const)
      expect(stableText(Object.fromEntries([...now.kinds[kind]].sort()))).toBe(
        stableText(Object.fromEntries([...demo.kinds[kind]].sort())),
      );
  });
});
