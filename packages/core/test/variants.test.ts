import { describe, expect, it } from '@jest/globals';
import { contributionsTo, nodeScope, winner } from '../src/cascade/index.ts';
import {
  addSection,
  addVariant,
  addWidget,
  beginWithVariant,
  duplicateScheme,
  duplicateVariant,
  moveVariant,
  promoteToVariant,
  removeVariant,
  setSlot,
  showArea,
} from '../src/commands/index.ts';
import { reorder } from '../src/commands/order/order.ts';
import { variantsOf } from '../src/guide/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, getRecord, isNode, type Place, type Site } from '../src/site/index.ts';
import type { Value } from '../src/values/index.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const half: Value = { type: 'number', value: 0.5 };
const inFooter: Place = { type: 'area', area: 'footer' };
const names = (site: Site, axis = 'kind') => variantsOf(site, 'button', axis).map(it => it.name);
const wornBy = (site: Site, id: string) => {
  const node = getRecord(site, id);
  return isNode(node) ? node.variants : null;
};

/** A button that is outlined and large, in a site that sets outlined again for the footer. */
const site = (() => {
  const laid = tiny(b =>
    b.widget('book', 'one', 'button', {}, { variants: { kind: 'outlined', size: 'large' } }),
  );
  const rule = { type: 'variantRule', variant: 'outlined', place: inFooter } as const;
  return after(laid, [
    ...setSlot(laid, { type: 'record', id: 'outlined' }, 'box/opacity', half),
    ...setSlot(laid, rule, 'box/opacity', { type: 'number', value: 0.7 }),
  ]);
})();

describe('variants of an element', () => {
  it('come last of their axis, each with a name of its own there', () => {
    const one = addVariant(site, 'button', 'kind', 'Quiet');
    const two = addVariant(after(site, one.edits), 'button', 'kind', 'Quiet');
    const both = after(after(site, one.edits), two.edits);
    expect(names(both)).toEqual(['Outlined', 'Quiet', 'Quiet 2']);
    expect(names(both, 'size')).toEqual(['Large']);
  });

  it('are copied right behind, with what holds for a place, and without what begins with them', () => {
    const begun = after(site, beginWithVariant(site, 'outlined', true));
    const more = after(begun, addVariant(begun, 'button', 'kind', 'Quiet').edits);
    const { edits, id } = must(duplicateVariant(more, 'outlined'));
    const done = after(more, edits);
    expect(names(done)).toEqual(['Outlined', 'Outlined 2', 'Quiet']);
    expect(done.kinds.variant.get(id)).toMatchObject({ styles: { 'box/opacity': half } });
    expect(done.kinds.variant.get(id)).not.toHaveProperty('begins');
    expect([...done.kinds.variantRule.values()].map(it => [it.variant, it.place])).toEqual([
      ['outlined', inFooter],
      [id, inFooter],
    ]);
  });

  it('move among those of their axis, in one edit where there is room', () => {
    const more = ['Quiet', 'Loud'].reduce(
      (at, name) => after(at, addVariant(at, 'button', 'kind', name).edits),
      site,
    );
    const loud = variantsOf(more, 'button', 'kind')[2]?.id ?? '';
    const edits = moveVariant(more, loud, 0);
    expect(edits).toHaveLength(1);
    expect(names(after(more, edits))).toEqual(['Loud', 'Outlined', 'Quiet']);
    expect(moveVariant(more, loud, 2)).toEqual([]);
    expect(moveVariant(more, loud, 9)).toEqual([]);
  });

  it('can be what new ones begin with, one of an axis', () => {
    const { edits, id } = addVariant(site, 'button', 'kind', 'Quiet');
    const added = after(site, edits);
    const first = after(added, beginWithVariant(added, 'outlined', true));
    const second = after(first, beginWithVariant(first, id, true));
    const laid = addWidget(second, 'one', 0, 'button');
    expect(wornBy(after(second, laid.edits), laid.id)).toEqual({ kind: id });
    const none = after(second, beginWithVariant(second, id, false));
    const bare = addWidget(none, 'one', 0, 'button');
    expect(wornBy(after(none, bare.edits), bare.id)).toEqual({});
  });

  it('can be what new sections begin with, and what all pages share', () => {
    const snug = addVariant(site, 'section', 'padding', 'Snug');
    const low = addVariant(after(site, snug.edits), 'sidebar', 'padding', 'Low');
    const added = after(after(site, snug.edits), low.edits);
    const begun = [snug.id, low.id].reduce((at, id) => after(at, beginWithVariant(at, id, true)), added);
    const made = addSection(begun, 'home', 0);
    expect(wornBy(after(begun, made.edits), made.id)).toEqual({ padding: snug.id });
    const shared = after(begun, showArea(begun, 'home', 'sidebar', true));
    const sidebar = [...shared.kinds.section.values()].find(it => it.area === 'sidebar');
    expect(sidebar?.variants).toEqual({ padding: low.id });
  });

  it('go with what was set for a place, and leave what wore them as the default or as another', () => {
    const { edits, id } = addVariant(site, 'button', 'kind', 'Quiet');
    const added = after(site, edits);
    const bare = after(added, must(removeVariant(added, 'outlined', null)));
    expect(wornBy(bare, 'book')).toEqual({ size: 'large' });
    expect(bare.kinds.variantRule.size).toBe(0);
    const scope = nodeScope(bare, 'home', 'book');
    if (!scope) throw new Error('book is gone');
    expect(winner(contributionsTo(bare, scope, 'box').get('opacity'), 'rest', 'wide')).toBeNull();
    expect(wornBy(after(added, must(removeVariant(added, 'outlined', id))), 'book')).toEqual({
      kind: id,
      size: 'large',
    });
  });

  it('are replaced by none of another axis, and never by themselves', () => {
    for (const by of ['large', 'outlined', 'nobody'])
      expect(removeVariant(site, 'outlined', by)).toMatchObject({ ok: false });
    expect(removeVariant(site, 'nobody', null)).toMatchObject({ ok: false });
    expect(duplicateVariant(site, 'nobody')).toMatchObject({ ok: false });
  });

  it('that a scheme sets again are set again by a copy of the scheme', () => {
    const rule = {
      type: 'variantRule',
      variant: 'outlined',
      place: { type: 'scheme', scheme: 'dark' },
    } as const;
    const ruled = after(site, setSlot(site, rule, 'box/opacity', half));
    const { edits, id } = must(duplicateScheme(ruled, 'dark'));
    const places = [...after(ruled, edits).kinds.variantRule.values()].map(it => it.place);
    expect(places).toContainEqual({ type: 'scheme', scheme: id });
  });
});

describe('values set by hand', () => {
  const set = after(site, [
    ...setSlot(site, { type: 'record', id: 'book' }, 'box/opacity', { type: 'number', value: 0.3 }),
    ...setSlot(site, { type: 'record', id: 'book' }, 'label/opacity', { type: 'number', value: 0.9 }),
  ]);
  const opacityOf = (at: Site, id: string, part: string) => {
    const scope = nodeScope(at, 'home', id);
    return scope ? winner(contributionsTo(at, scope, part).get('opacity'), 'rest', 'wide')?.value : null;
  };
  it('become a variant of their own, which begins as the one worn, so that the look stays', () => {
    const { edits, variant } = must(promoteToVariant(set, 'book', ['box/opacity'], 'kind', 'Faint'));
    const done = after(set, edits);
    expect(wornBy(done, 'book')).toEqual({ kind: variant, size: 'large' });
    expect(names(done)).toEqual(['Outlined', 'Faint']);
    expect(opacityOf(done, 'book', 'box')).toEqual({ type: 'number', value: 0.3 });
    // What was not promoted stays where it was, and what the one before set for a place goes along.
    expect(done.kinds.widget.get('book')?.styles).toEqual({
      'label/opacity': { type: 'number', value: 0.9 },
    });
    expect([...done.kinds.variantRule.values()].map(it => it.variant)).toContain(variant);
    // The one before is as it was.
    expect(done.kinds.variant.get('outlined')).toEqual(set.kinds.variant.get('outlined'));
  });
  it('on an axis of which nothing is worn begin with nothing else', () => {
    const bare = after(set, [{ op: 'unset', id: 'book', path: ['variants', 'size'] }]);
    const { edits, variant } = must(promoteToVariant(bare, 'book', ['label/opacity'], 'size', ' '));
    const done = after(bare, edits);
    expect(done.kinds.variant.get(variant)).toMatchObject({
      name: 'Variant',
      styles: { 'label/opacity': { type: 'number', value: 0.9 } },
    });
  });
  it('are refused where there is no such axis, and where nothing is set', () => {
    expect(promoteToVariant(set, 'book', ['box/opacity'], 'look', 'X')).toMatchObject({ ok: false });
    expect(promoteToVariant(set, 'book', ['box/width'], 'kind', 'X')).toMatchObject({ ok: false });
    expect(promoteToVariant(set, 'nobody', [], 'kind', 'X')).toMatchObject({ ok: false });
  });
});

describe('an order', () => {
  it('is written anew where two share a key', () => {
    const list = ['a', 'b', 'c'].map(id => ({ kind: 'variant' as const, id, order: 'V' }));
    const [first, , last] = list;
    if (!first || !last) throw new Error('empty');
    const edits = reorder(list, last, 1);
    const keys = new Map(
      edits.map(it => [it.op === 'set' ? it.id : '', it.op === 'set' ? String(it.value) : '']),
    );
    expect(['a', 'b', 'c'].sort((x, y) => (String(keys.get(x)) < String(keys.get(y)) ? -1 : 1))).toEqual([
      'a',
      'c',
      'b',
    ]);
    expect(new Set(keys.values()).size).toBe(3);
    expect(reorder(list, first, 0)).toEqual([]);
  });
});
