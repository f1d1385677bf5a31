import { describe, expect, it } from '@jest/globals';
import { contributionsTo, nodeScope, threadOf, winner } from '../src/cascade/index.ts';
import {
  addPreset,
  addWidget,
  duplicatePreset,
  includePreset,
  letGo,
  nearPresets,
  removePreset,
  unusedPresets,
  wearersOf,
  wearPreset,
} from '../src/commands/index.ts';
import { presetStyles, presetsAround, presetsWithin } from '../src/guide/index.ts';
import { reachOf } from '../src/reach/index.ts';
import { pageStyles, renderNode } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type PresetRecord, type Site, withRecords } from '../src/site/index.ts';
import type { Styles } from '../src/slots/index.ts';
import { keyword } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const preset = (id: string, styles: Styles, more: Partial<PresetRecord> = {}): Edit => ({
  op: 'put',
  record: { id, kind: 'preset', name: id, order: 'z1', styles, ...more },
});
const opacity = (value: number): Styles => ({ 'box/opacity': { type: 'number', value } });
const scopeOf = (site: Site, node: string) => {
  const scope = nodeScope(site, 'home', node);
  if (!scope) throw new Error(node);
  return scope;
};
const wear = (site: Site, node: string, id: string) => after(site, must(wearPreset(site, node, id)));
const at = (site: Site, property: 'opacity' | 'fontWeight' | 'fontStyle', part = 'box') =>
  winner(contributionsTo(site, scopeOf(site, 'feature-cars'), part).get(property), 'rest', 'wide');

describe('a preset in a state', () => {
  const focus = after(demo, [
    preset('ringed', { 'box:focus/opacity': { type: 'number', value: 0.5 } }),
    preset('raised', { 'box:hover/opacity': { type: 'number', value: 0.5 } }),
  ]);
  it('asks what is used in a field of fields alone: a section that holds one is not meant', () => {
    const site = wear(focus, 'crossing', 'ringed');
    const home = site.kinds.page.get('home');
    const css = home ? pageStyles(site, home, { mode: 'published', assetUrl: ({ file }) => file }) : '';
    expect(css).toMatch(
      /\.p-ringed-0-box\.field-box:has\(:is\(\.field-control,\.field-tick\):focus-visible\)/,
    );
    expect(css).not.toMatch(/\.p-ringed-0-box:has/);
  });
  it('names the parts that have the state: a section has no hover of its own', () => {
    const css = publishedCss(wear(focus, 'crossing', 'raised'));
    const [, parts = ''] = /\.p-raised-0-box:is\(([^)]*)\):hover/.exec(css) ?? [];
    expect(parts.split(',')).toContain('.button-box');
    expect(parts.split(',')).not.toContain('.section-box');
  });
});

describe('presets within presets', () => {
  const base = after(demo, [
    preset('inner', { ...opacity(0.5), 'heading/fontStyle': keyword('italic') }),
    preset('deep', { 'heading/fontWeight': { type: 'number', value: 300 } }),
    preset('outer', opacity(0.7)),
  ]);
  const nested = [
    ['inner', 'deep'],
    ['outer', 'inner'],
  ].reduce((site, [id, inner]) => after(site, must(includePreset(site, id ?? '', inner ?? ''))), base);
  const worn = wear(nested, 'feature-cars', 'outer');

  it('bring what they set, the outer over the inner', () => {
    expect(at(worn, 'opacity')).toMatchObject({ record: 'outer', value: { value: 0.7 } });
    expect(at(worn, 'fontStyle', 'title')).toMatchObject({ record: 'inner', value: keyword('italic') });
    expect(at(worn, 'fontWeight', 'title')).toMatchObject({ record: 'deep' });
  });
  it('are named in the thread by the preset that says it', () => {
    const thread = threadOf(worn, scopeOf(worn, 'feature-cars'), {
      part: 'title',
      state: 'rest',
      width: 'wide',
      property: 'fontWeight',
    });
    expect(thread.from).toMatchObject({ origin: 'preset', record: 'deep' });
  });
  it('reach what wears the outer one', () => {
    expect(reachOf(worn, 'deep').uses).toBe(1);
    expect(presetsAround(worn, 'deep').sort()).toEqual(['deep', 'inner', 'outer']);
    expect(presetsWithin(worn, 'outer')).toEqual(['deep', 'inner', 'outer']);
  });
  it('are printed under the class of the one worn', () => {
    const node = worn.kinds.widget.get('feature-cars');
    const { parent } = scopeOf(worn, 'feature-cars');
    const html =
      node &&
      parent &&
      renderNode(worn, parent.scope, node, { marks: false, links: false, assetUrl: () => '' });
    expect(JSON.stringify(html)).toContain('p-outer-0-heading');
  });
  it('cannot hold themselves, directly or through others', () => {
    expect(includePreset(nested, 'deep', 'outer')).toMatchObject({
      ok: false,
      problem: { code: 'circular' },
    });
    const edits: Edit[] = [
      { op: 'set', id: 'deep', path: ['includes', 'x'], value: { preset: 'outer', order: 'V' } },
    ];
    expect(applyChange(nested, { edits })).toMatchObject({ ok: false, problem: { code: 'circular' } });
  });
  it('give way to a text style of the outer one as a whole', () => {
    const styled = after(nested, [
      {
        op: 'set',
        id: 'outer',
        path: ['styles', 'heading/textStyle'],
        value: { type: 'textStyle', style: 'style-h1' },
      },
    ]);
    expect(presetStyles(styled, 'outer').styles).not.toHaveProperty('heading/fontWeight');
  });
  it('go out of those that hold them when they are deleted, or leave their values there', () => {
    const gone = after(nested, removePreset(nested, 'inner'));
    expect(presetStyles(gone, 'outer').styles).not.toHaveProperty('heading/fontStyle');
    const kept = after(nested, removePreset(nested, 'inner', { type: 'letGo' }));
    expect(kept.kinds.preset.get('outer')?.styles).toMatchObject({
      ...opacity(0.7),
      'heading/fontStyle': keyword('italic'),
    });
  });
});

describe('a set of presets', () => {
  const site = after(demo, [
    preset('snug', opacity(0.1), { set: 'Air' }),
    preset('wide', opacity(0.2), { set: 'Air' }),
    preset('other', opacity(0.3)),
  ]);
  it('lets one be worn at a time; others stay on', () => {
    const worn = ['snug', 'other', 'wide'].reduce((it, id) => wear(it, 'feature-cars', id), site);
    const wears = Object.values(worn.kinds.widget.get('feature-cars')?.wears ?? {}).map(it => it.preset);
    expect(wears.sort()).toEqual(['other', 'wide']);
  });
  it('is not called near-identical for what sets it apart', () => {
    const alike = after(site, [
      preset('twin-a', { ...opacity(0.4), 'box/display': keyword('block') }, { set: 'Twin' }),
      preset('twin-b', { ...opacity(0.4), 'box/display': keyword('block') }, { set: 'Twin' }),
    ]);
    expect(nearPresets(alike)).toEqual([]);
  });
});

describe('a preset', () => {
  it('is made empty under a name of its own, and duplicated', () => {
    const { edits, id } = addPreset(demo, 'Ticket');
    const site = after(demo, edits);
    expect(site.kinds.preset.get(id)).toMatchObject({ name: 'Ticket 2', styles: {} });
    const copy = must(duplicatePreset(site, 'ticket'));
    expect(after(site, copy.edits).kinds.preset.get(copy.id)?.styles).toEqual(
      demo.kinds.preset.get('ticket')?.styles,
    );
  });
  it('let go keeps the look: its values stay on the thing itself', () => {
    const [id = ''] = Object.keys(demo.kinds.widget.get('feature-dogs')?.wears ?? {});
    const site = after(demo, letGo(demo, 'feature-dogs', id));
    const node = site.kinds.widget.get('feature-dogs');
    expect(node?.wears).toEqual({});
    expect(node?.styles['box/borderTopStyle']).toEqual(keyword('dashed'));
    // What was set by hand before is not overwritten.
    expect(node?.styles['box/backgroundColor']).toEqual({ type: 'token', token: 'mist' });
  });
  it('is replaced by another where it is worn, in its place', () => {
    const site = after(demo, removePreset(demo, 'ticket', { type: 'replace', by: 'low-tide' }));
    expect(wearersOf(site, 'low-tide')).toEqual(wearersOf(demo, 'ticket'));
    expect(wearersOf(demo, 'ticket')).toContain('feature-dogs');
    expect(site.kinds.preset.has('ticket')).toBe(false);
  });
  it('that nothing wears is listed, unless new things begin with it', () => {
    expect(unusedPresets(demo)).toEqual(['low-tide']);
    const begins = after(demo, [{ op: 'set', id: 'low-tide', path: ['begins', 'button'], value: true }]);
    expect(unusedPresets(begins)).toEqual([]);
  });
  it('that says nearly the same as another is found', () => {
    const copy = must(duplicatePreset(demo, 'ticket'));
    const site = after(demo, copy.edits);
    expect(nearPresets(site)).toEqual([{ a: 'ticket', b: copy.id, differ: 0 }]);
    // The database answers the fields of a record in an order of its own.
    const turned = (it: PresetRecord): PresetRecord =>
      JSON.parse(
        JSON.stringify(it, (_, value: unknown) =>
          typeof value === 'object' && value !== null && !Array.isArray(value)
            ? Object.fromEntries(Object.entries(value).reverse())
            : value,
        ),
      );
    const stored = site.kinds.preset.get(copy.id);
    if (!stored) throw new Error('gone');
    const mixed = withRecords(site, new Map([[copy.id, turned(stored)]]));
    expect(nearPresets(mixed)).toEqual([{ a: 'ticket', b: copy.id, differ: 0 }]);
  });
});

describe('what new things begin with', () => {
  it('are the variants and presets the guide says', () => {
    const site = after(demo, [
      { op: 'set', id: 'size-large', path: ['begins'], value: true },
      { op: 'set', id: 'ticket', path: ['begins', 'button'], value: true },
    ]);
    const made = addWidget(site, 'welcome', 0, 'button');
    const node = after(site, made.edits).kinds.widget.get(made.id);
    expect(node?.variants).toEqual({ size: 'size-large' });
    expect(Object.values(node?.wears ?? {}).map(it => it.preset)).toEqual(['ticket']);
    const plain = addWidget(site, 'welcome', 0, 'heading');
    expect(after(site, plain.edits).kinds.widget.get(plain.id)).toMatchObject({ variants: {}, wears: {} });
  });
});
