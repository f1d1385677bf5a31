import {
  applyChange,
  type Edit,
  elementNamed,
  getRecord,
  isNode,
  type NodeRecord,
  printHtml,
  type Site,
  variantsOf,
} from '@cove/core';
import { looksOf, takeLook, tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { elementLooks } from '../src/looks/elementLooks.ts';
import { nodeLooks } from '../src/looks/nodeLooks.ts';

const demo = tolvane(() => 'abcdef0123456789.webp');
const after = (site: Site, edits: readonly Edit[]): Site => {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};
const node = (site: Site, id: string): NodeRecord => {
  const record = getRecord(site, id);
  if (!isNode(record)) throw new Error(`no ${id}`);
  return record;
};
const looksFor = (site: Site, id: string, mayGuide = true) => {
  const looks = nodeLooks(site, 'home', node(site, id), mayGuide, 'tolvane');
  if (!looks) throw new Error('no looks');
  return looks;
};
const group = (site: Site, id: string, label: string, mayGuide = true) =>
  looksFor(site, id, mayGuide).groups.find(it => it.label === label)?.options ?? [];

describe('the looks of a thing', () => {
  it('are the default, the guide’s variants and what could be taken, for each axis', () => {
    const kinds = group(demo, 'book', 'Kind');
    expect(kinds.slice(0, 2).map(it => it.label)).toEqual(['Default', 'Outlined']);
    expect(kinds.filter(it => it.note === 'ready-made').map(it => it.label)).toEqual(
      looksOf('button')
        .map(it => it.name)
        .filter(it => it !== 'Outlined'),
    );
    expect(kinds.filter(it => it.chosen).map(it => it.label)).toEqual(['Default']);
  });

  it('offer nothing to take to those who may not change the guide', () => {
    expect(group(demo, 'book', 'Kind', false).filter(it => it.note !== '')).toEqual([]);
  });

  it('are drawn with its own words, where nothing takes the focus', () => {
    for (const { label, markup } of group(demo, 'book', 'Kind')) {
      const html = markup ? printHtml(markup) : '';
      expect({ label, html }).toEqual({ label, html: expect.stringContaining('Book a crossing') });
      expect(html).toContain('tabindex="-1"');
    }
  });

  it('dress it when they are chosen; a ready one becomes a variant in the same step', () => {
    const quiet = group(demo, 'book', 'Kind').find(it => it.label === 'Quiet');
    const dressed = after(demo, quiet?.edits(demo) ?? []);
    const made = variantsOf(dressed, 'button', 'kind').find(it => it.name === 'Quiet');
    expect(node(dressed, 'book').variants.kind).toBe(made?.id);
    // Its size, which is of another axis, stays.
    expect(node(dressed, 'book').variants.size).toBe(node(demo, 'book').variants.size);
    const bare = group(dressed, 'book', 'Kind').find(it => it.label === 'Default');
    expect(node(after(dressed, bare?.edits(dressed) ?? []), 'book').variants.kind).toBeUndefined();
  });

  it('are put on and taken off where they are presets', () => {
    const ticket = group(demo, 'feature-cars', 'Presets').find(it => it.label === 'Ticket');
    expect(ticket?.chosen).toBe(false);
    const worn = after(demo, ticket?.edits(demo) ?? []);
    const again = group(worn, 'feature-cars', 'Presets').find(it => it.label === 'Ticket');
    expect(again?.chosen).toBe(true);
    expect(node(after(worn, again?.edits(worn) ?? []), 'feature-cars').wears).toEqual({});
  });

  it('of what is gone are none', () => {
    expect(nodeLooks(demo, 'sunk', node(demo, 'book'), true, 'tolvane')).toBeNull();
  });
});

describe('the ready looks of an element', () => {
  it('are told apart by whether the guide has them', () => {
    const { groups } = elementLooks(demo, elementNamed('button'), 'daymark', 'tolvane');
    const kinds = groups.find(it => it.label === 'Kind')?.options ?? [];
    expect(kinds.map(it => [it.label, it.note])).toEqual(
      looksOf('button').map(it => [it.name, it.name === 'Outlined' ? 'in the guide' : '']),
    );
    const [, look] = looksOf('button');
    if (!look) throw new Error('no look');
    const taken = after(demo, takeLook(demo, look).edits);
    const now = elementLooks(taken, elementNamed('button'), 'daymark', 'tolvane');
    expect(now.groups.flatMap(it => it.options).filter(it => it.chosen).length).toBe(2);
  });

  it('of every element can be drawn on every scheme', () => {
    for (const name of ['heading', 'quote', 'section', 'field', 'navigation', 'picture'])
      for (const scheme of demo.kinds.scheme.keys()) {
        const { groups, site } = elementLooks(demo, elementNamed(name), scheme, 'tolvane');
        expect(groups.length).toBeGreaterThan(0);
        for (const { options } of groups)
          for (const { look, markup } of options) {
            const id = variantsOf(site, name, look.axis).find(it => it.name === look.name)?.id;
            expect(markup && printHtml(markup)).toContain(`v-${id}-`);
          }
      }
  });
});
