import { describe, expect, it } from '@jest/globals';
import { computedStyles, nodeScope } from '../src/cascade/index.ts';
import {
  removeDeclaration,
  resetAllElements,
  resetGuide,
  resetNode,
  type StyleTarget,
  setSlot,
  setTyped,
  targetId,
} from '../src/commands/index.ts';
import { propertyByCss, propertyOf } from '../src/properties/index.ts';
import { declarationProblem } from '../src/properties/unfollowed.ts';
import { impactOf, reachOf } from '../src/reach/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  getRecord,
  parseDeclarationKey,
  printDeclarationKey,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { parseDeclarations, parsePropertyValue } from '../src/tokens/index.ts';
import type { Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const px = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'px' } });
const rest = { part: 'box', state: 'rest', width: 'wide' } as const;
const typed = (site: Site, source: string) =>
  must(parseDeclarations(source, site.kinds.token, propertyByCss, site.kinds.role));
const stylesOf = (site: Site, id: string): Record<string, Value> => {
  const record = getRecord(site, id);
  return record && 'styles' in record ? { ...record.styles } : {};
};
const declarationsOf = (site: Site, id: string) => {
  const record = getRecord(site, id);
  return record && 'declarations' in record ? record.declarations : undefined;
};

describe('a text style', () => {
  it('holds a line above or below with its distance, which single values may leave, and no other box', () => {
    const put = (styles: Record<string, Value>): boolean =>
      applyChange(demo, {
        edits: [{ op: 'put', record: { id: 'ruled', kind: 'textStyle', name: 'Ruled', order: 'z', styles } }],
      }).ok;
    const ruled: Record<string, Value> = {
      '/borderTopWidth': px(2),
      '/borderTopStyle': { type: 'keyword', value: 'solid' },
      '/borderTopColor': { type: 'role', role: 'line' },
      '/paddingTop': px(6),
    };
    expect(put(ruled)).toBe(true);
    expect(put({ '/marginTop': px(6) })).toBe(false);
    expect(put({ '/backgroundColor': { type: 'role', role: 'line' } })).toBe(false);
    const site = after(demo, [
      { op: 'put', record: { id: 'ruled', kind: 'textStyle', name: 'Ruled', order: 'z', styles: ruled } },
      ...setSlot(demo, { type: 'record', id: 'welcome-title' }, 'text/textStyle', {
        type: 'textStyle',
        style: 'ruled',
      }),
    ]);
    const scope = nodeScope(site, 'home', 'welcome-title');
    const css = (of: Site) => scope && computedStyles(of, scope, 'text', ['rest'], 'wide').get('paddingTop');
    expect(css(site)).toBe('6px');
    expect(reachOf(site, 'ruled').uses).toBe(1);
  });
});

describe('a value set by hand', () => {
  const onScheme: StyleTarget = {
    type: 'default',
    element: 'divider',
    place: { type: 'scheme', scheme: 'dark' },
  };
  const onVariant: StyleTarget = {
    type: 'variantRule',
    variant: 'large',
    place: { type: 'area', area: 'main' },
  };
  it.each([
    ['a rule for a place', onScheme],
    ['a variant’s rule for a place', onVariant],
  ])('makes %s where there is none, once', (_, target) => {
    const site = tiny();
    expect(getRecord(site, targetId(target))).toBeUndefined();
    const made = after(site, setSlot(site, target, 'box/paddingTop', px(3)));
    expect(stylesOf(made, targetId(target))).toEqual({ 'box/paddingTop': px(3) });
    const more = after(made, setSlot(made, target, 'box/paddingLeft', px(4)));
    expect(stylesOf(more, targetId(target))).toEqual({
      'box/paddingTop': px(3),
      'box/paddingLeft': px(4),
    });
    expect(setSlot(site, target, 'box/paddingTop', null)).toEqual([]);
  });
  it('is taken away again, and what was never set makes no edit', () => {
    const site = after(demo, setSlot(demo, { type: 'record', id: 'book' }, 'box/paddingTop', px(3)));
    const back = setSlot(site, { type: 'record', id: 'book' }, 'box/paddingTop', null);
    expect(stylesOf(after(site, back), 'book')).toEqual(stylesOf(demo, 'book'));
    expect(setSlot(demo, { type: 'record', id: 'book' }, 'box/paddingTop', null)).toEqual([]);
    expect(setSlot(demo, { type: 'record', id: 'nobody' }, 'box/paddingTop', px(3))).toEqual([]);
    expect(setSlot(demo, { type: 'record', id: 'hull' }, 'box/paddingTop', px(3))).toEqual([]);
  });
});

describe('typed CSS', () => {
  const SOURCE = 'padding-top: 3px; padding-left: 4px; background-blend-mode: multiply; tab-size: 2';
  it('makes one rule of several declarations where there is none', () => {
    const site = tiny();
    const target: StyleTarget = { type: 'default', element: 'divider' };
    const edits = setTyped(site, target, rest, typed(site, SOURCE));
    expect(edits).toHaveLength(1);
    const made = after(site, edits);
    expect(Object.keys(stylesOf(made, targetId(target)))).toEqual(['box/paddingTop', 'box/paddingLeft']);
    expect(declarationsOf(made, targetId(target))).toEqual({
      'box/background-blend-mode': 'multiply',
      'box/tab-size': '2',
    });
  });
  it('adds to what is there, and goes one by one to nothing', () => {
    const target: StyleTarget = { type: 'record', id: 'book' };
    const made = after(
      demo,
      setTyped(demo, target, { part: 'label', state: 'hover', width: 'narrow' }, typed(demo, SOURCE)),
    );
    expect(declarationsOf(made, 'book')).toEqual({
      'label:hover@narrow/background-blend-mode': 'multiply',
      'label:hover@narrow/tab-size': '2',
    });
    expect(stylesOf(made, 'book')).toHaveProperty(['label:hover@narrow/paddingTop'], px(3));
    const one = after(made, removeDeclaration(made, 'book', 'label:hover@narrow/tab-size'));
    expect(declarationsOf(one, 'book')).toEqual({ 'label:hover@narrow/background-blend-mode': 'multiply' });
    const none = after(one, removeDeclaration(one, 'book', 'label:hover@narrow/background-blend-mode'));
    expect(declarationsOf(none, 'book')).toBeUndefined();
    expect(removeDeclaration(none, 'book', 'label/background-blend-mode')).toEqual([]);
  });
  it('counts as a difference where it comes and goes, and where a state of it does', () => {
    const site = after(
      demo,
      setTyped(
        demo,
        { type: 'default', element: 'button' },
        rest,
        typed(demo, 'background-blend-mode: multiply'),
      ),
    );
    const gone = must(impactOf(site, removeDeclaration(site, 'default-button', 'box/background-blend-mode')));
    const buttons = [...demo.kinds.widget.values()].filter(it => it.widget === 'button');
    expect(gone.nodes).toBe(buttons.length);
    expect(gone.properties).toEqual([{ property: 'unfollowed', count: buttons.length }]);
    const hover = setTyped(
      site,
      { type: 'record', id: 'book' },
      { ...rest, state: 'hover' },
      typed(site, 'tab-size: 2'),
    );
    expect(must(impactOf(site, hover)).pages.flatMap(it => it.nodes)).toEqual(['book']);
    expect(
      must(impactOf(site, setSlot(site, { type: 'record', id: 'book' }, 'box/rowGap', px(1)))).properties,
    ).toEqual([{ property: 'rowGap', count: 1 }]);
  });
  it('positions that reach outside are not among those that can be set', () => {
    const position = propertyOf('position');
    expect(parsePropertyValue('sticky', position, new Map()).ok).toBe(true);
    for (const text of ['fixed', 'absolute', 'relative'])
      expect(parsePropertyValue(text, position, new Map()).ok).toBe(false);
  });
  it.each(['position-anchor', 'contain', 'inset-area', 'transform', 'anchor-name', 'counter-reset'])(
    '%s is refused, since it could reach outside',
    css => {
      expect(declarationProblem(css, '1')).toContain('could reach outside the element');
    },
  );
  it.each(['margin', 'border', 'border-top', 'padding-inline', 'inline-size', 'font', 'background', 'all'])(
    '%s is refused, since it names what is followed otherwise',
    css => {
      expect(declarationProblem(css, '1px')).toContain('another name for properties that are followed');
    },
  );
  it('has one spelling of a place', () => {
    for (const key of [
      'box/tab-size',
      'box:hover/tab-size',
      'box@narrow/tab-size',
      'box:focus@medium/tab-size',
    ]) {
      const parts = parseDeclarationKey(key);
      expect(parts && printDeclarationKey(parts)).toBe(key);
    }
    for (const key of [
      'box:rest/tab-size',
      'box@wide/tab-size',
      'box/tabSize',
      'box/--own',
      'box:nosuch/tab-size',
      '/x',
    ])
      expect(parseDeclarationKey(key)).toBeNull();
  });
});

describe('a reset', () => {
  const button = 'default-button';
  it('of a part leaves the other parts of the rule', () => {
    const site = after(demo, [
      ...setSlot(demo, { type: 'default', element: 'button' }, 'label/letterSpacing', px(1)),
      ...setTyped(
        demo,
        { type: 'default', element: 'button' },
        { ...rest, part: 'label' },
        typed(demo, 'tab-size: 2'),
      ),
    ]);
    const reset = after(site, resetGuide(site, { type: 'part', record: button, part: 'label' }));
    expect(stylesOf(reset, button)).toEqual(stylesOf(demo, button));
    expect(declarationsOf(reset, button) ?? {}).toEqual({});
    expect(resetGuide(demo, { type: 'part', record: button, part: 'icon' })).toEqual([]);
  });
  it('of a whole rule takes a default away and empties a variant', () => {
    expect(
      getRecord(after(demo, resetGuide(demo, { type: 'rule', record: button })), button),
    ).toBeUndefined();
    const bare = after(demo, resetGuide(demo, { type: 'rule', record: 'kind-outlined' }));
    expect(stylesOf(bare, 'kind-outlined')).toEqual({});
    expect(bare.kinds.variant.has('kind-outlined')).toBe(true);
  });
  it('of an element takes its rules for places too, and nothing of another', () => {
    const site = after(
      demo,
      setSlot(
        demo,
        { type: 'variantRule', variant: 'kind-outlined', place: { type: 'area', area: 'main' } },
        'box/paddingTop',
        px(9),
      ),
    );
    expect(site.kinds.variantRule.size).toBe(demo.kinds.variantRule.size + 1);
    const reset = after(site, resetGuide(site, { type: 'element', element: 'button' }));
    const left = [...reset.kinds.default.values(), ...reset.kinds.variant.values()].filter(
      it => it.element === 'button',
    );
    expect(left.flatMap(it => Object.keys(it.styles))).toEqual([]);
    expect(reset.kinds.variantRule.size).toBe(demo.kinds.variantRule.size);
    expect(stylesOf(reset, 'default-picture')).toEqual(stylesOf(demo, 'default-picture'));
  });
  it('of every element leaves tokens, schemes, text styles and presets', () => {
    const reset = after(demo, resetAllElements(demo));
    expect(reset.kinds.default.size).toBe(0);
    expect([...reset.kinds.variant.values()].flatMap(it => Object.keys(it.styles))).toEqual([]);
    for (const kind of ['token', 'scheme', 'textStyle', 'preset', 'widget'] as const)
      expect(reset.kinds[kind]).toBe(demo.kinds[kind]);
    expect(resetAllElements(reset)).toEqual([]);
  });
  it('of one thing clears its knots, and only those', () => {
    const target: StyleTarget = { type: 'record', id: 'feature-dogs' };
    const site = after(demo, setTyped(demo, target, rest, typed(demo, 'tab-size: 2')));
    const reset = after(site, resetNode(site, 'feature-dogs'));
    expect(stylesOf(reset, 'feature-dogs')).toEqual({});
    expect(declarationsOf(reset, 'feature-dogs')).toBeUndefined();
    expect(reset.kinds.widget.get('feature-dogs')?.wears).toEqual(
      demo.kinds.widget.get('feature-dogs')?.wears,
    );
    expect(resetNode(reset, 'feature-dogs')).toEqual([]);
    expect(resetNode(demo, 'hull')).toEqual([]);
  });
  it('is undone to the byte', () => {
    for (const edits of [
      resetAllElements(demo),
      resetGuide(demo, { type: 'element', element: 'button' }),
      resetNode(demo, 'feature-dogs'),
    ]) {
      const done = must(applyChange(demo, { edits }));
      const back = after(done.site, done.inverse);
      for (const kind of ['default', 'variant', 'variantRule', 'widget'] as const)
        expect(stableText(Object.fromEntries(back.kinds[kind]))).toBe(
          stableText(Object.fromEntries(demo.kinds[kind])),
        );
    }
  });
});
