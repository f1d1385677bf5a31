import { describe, expect, it } from '@jest/globals';
import {
  computedStyles,
  contributionsTo,
  layersBehind,
  nodeScope,
  specimenScope,
  winner,
} from '../src/cascade/index.ts';
import {
  addPreset,
  freeLayer,
  insteadIn,
  keepForUse,
  makePreset,
  placeLayer,
  presetWornFor,
  removePreset,
  removeScheme,
  setSlots,
  slotsOfPart,
  wearForUse,
} from '../src/commands/index.ts';
import { LAYERS, PRESET_USES } from '../src/properties/index.ts';
import { publishSite, renderAlone, specimenRows } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { upgradeEdits, upgradeRecord } from '../src/schema/index.ts';
import { applyChange, type Edit, getRecord, type NodeRecord, type Site } from '../src/site/index.ts';
import { keyword, role } from '../src/values/index.ts';
import { elementNamed, partNames } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss, withoutCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const scopeOf = (site: Site, page: string, node: string) => {
  const scope = nodeScope(site, page, node);
  if (!scope) throw new Error(node);
  return scope;
};
const nodeOf = (site: Site, id: string): NodeRecord => {
  const record = getRecord(site, id);
  if (record?.kind !== 'section' && record?.kind !== 'widget') throw new Error(id);
  return record;
};
const number = (value: number) => ({ type: 'number', value }) as const;
const preset = (id: string, more: object): Edit => ({
  op: 'put',
  record: { id, kind: 'preset', name: id, order: 'z1', styles: {}, ...more },
});
const page = (site: Site, path = 'on-board/index.html') =>
  withoutCss(publishSite(site).files.get(path) ?? '');
const sheets = publishedCss;
/** Every part of a thing as it comes out, as text. */
const looks = (site: Site, pageId: string, id: string) => {
  const scope = scopeOf(site, pageId, id);
  return partNames(scope.element).map(part => [
    part,
    [...computedStyles(site, scope, part, ['rest'], 'wide')].sort(([a], [b]) => a.localeCompare(b)),
  ]);
};

describe('what a preset says of a part by its own name', () => {
  const said = after(demo, [
    preset('both', {
      use: 'ground',
      styles: { 'fill/opacity': number(0.5), 'box/opacity': number(0.9), 'firstLayer/opacity': number(0.2) },
    }),
    ...must(wearForUse(demo, 'crossing', 'ground', 'open-water')),
  ]);
  const site = after(said, must(wearForUse(said, 'crossing', 'ground', 'both')));
  const opacity = (part: string) =>
    winner(contributionsTo(site, scopeOf(site, 'home', 'crossing'), part).get('opacity'), 'rest', 'wide')
      ?.value;

  it('wins over what it says of all of the kind, and reaches no other part of the kind', () => {
    expect(opacity('box')).toEqual(number(0.5));
    expect(opacity('inner')).toEqual(number(0.9));
    expect(opacity('firstLayer')).toEqual(number(0.2));
  });
  it('is printed below it, so that browsers see the same', () => {
    const css = sheets(site);
    expect(css.indexOf('.p-both-0-fill')).toBeGreaterThan(css.indexOf('.p-both-0-box'));
    expect(css).toMatch(/\.p-both-0-firstLayer/);
  });
  it('takes the place of another of its use', () => {
    expect(Object.values(nodeOf(site, 'crossing').wears).map(it => it.preset)).toEqual(['both']);
    expect(must(wearForUse(site, 'crossing', 'ground', null))).toHaveLength(1);
    expect(wearForUse(site, 'gone', 'ground', null).ok).toBe(false);
  });
  it('is drawn where a layer is spoken of, and nowhere else', () => {
    expect(page(demo)).toContain('section-fourthLayer');
    expect(page(demo)).not.toContain('section-fifthLayer');
    expect(page(demo, 'index.html')).not.toContain('section-firstLayer');
  });
});

describe('layers behind a section', () => {
  const scope = scopeOf(demo, 'aboard', 'aboard-tea');
  it('lie in the order of their names until one is moved (CSS 2.2, appendix E)', () => {
    const used = layersBehind(demo, scope);
    expect(used).toEqual(['fourthLayer', 'thirdLayer', 'secondLayer', 'firstLayer']);
    const target = { type: 'record', id: 'open-water' } as const;
    const moved = after(demo, setSlots(demo, target, placeLayer(used, 'firstLayer', 0)));
    const now = layersBehind(moved, scopeOf(moved, 'aboard', 'aboard-tea'));
    expect(now).toEqual(['firstLayer', 'fourthLayer', 'thirdLayer', 'secondLayer']);
    const back = after(moved, setSlots(moved, target, placeLayer(now, 'fourthLayer', 3)));
    expect(layersBehind(back, scopeOf(back, 'aboard', 'aboard-tea'))).toEqual([
      'firstLayer',
      'thirdLayer',
      'secondLayer',
      'fourthLayer',
    ]);
  });
  it('are more than anybody needs, and a new one lies over the others', () => {
    expect(freeLayer([])).toBe('firstLayer');
    expect(freeLayer(['firstLayer', 'fourthLayer'])).toBe('fifthLayer');
    expect(freeLayer(LAYERS.slice(3))).toBe('firstLayer');
    expect(freeLayer(LAYERS)).toBeNull();
    expect(LAYERS).toHaveLength(12);
  });
  it('count as what lies behind words in their order', () => {
    const covered = after(demo, [
      preset('covered', {
        use: 'ground',
        styles: {
          'firstLayer/backgroundColor': role('accent'),
          'secondLayer/backgroundColor': role('surface'),
          'firstLayer/inFront': number(5),
        },
      }),
    ]);
    const worn = after(covered, must(wearForUse(covered, 'crossing', 'ground', 'covered')));
    expect(layersBehind(worn, scopeOf(worn, 'home', 'crossing'))).toEqual(['firstLayer', 'secondLayer']);
  });
});

describe('keeping what is set as a ground or a treatment', () => {
  it('looks the same after it, and every other thing can wear it', () => {
    const target = { type: 'record', id: 'before' } as const;
    const set = after(
      demo,
      setSlots(demo, target, {
        'firstLayer/backgroundColor': role('accent'),
        'firstLayer@narrow/left': { type: 'dimension', value: { value: 50, unit: '%' } },
        'bottomEdge/edgeShape': keyword('wave'),
        'inner/rowGap': { type: 'dimension', value: { value: 3, unit: 'rem' } },
      }),
    );
    const { edits, preset: id } = must(keepForUse(set, 'before', 'ground', 'Shore'));
    const kept = after(set, edits);
    expect(looks(kept, 'home', 'before')).toEqual(looks(set, 'home', 'before'));
    // What is no part of a ground stays where it was set.
    expect(Object.keys(nodeOf(kept, 'before').styles)).toEqual(['inner/rowGap']);
    expect(presetWornFor(kept, nodeOf(kept, 'before'), 'ground')?.preset).toBe(id);
    const foot = after(kept, must(wearForUse(kept, 'foot', 'ground', id)));
    expect(page(foot, 'index.html')).toContain('footer-firstLayer');
    expect(slotsOfPart(kept, id, 'firstLayer')).toHaveLength(2);
  });
  it('keeps what the one that is worn says too', () => {
    const set = after(
      demo,
      setSlots(demo, { type: 'record', id: 'tea' }, { 'markBehind/backgroundColor': role('accent') }),
    );
    const kept = after(set, must(keepForUse(set, 'tea', 'treatment', 'Tea')).edits);
    const worn = presetWornFor(kept, nodeOf(kept, 'tea'), 'treatment')?.preset ?? '';
    const said = Object.keys(kept.kinds.preset.get(worn)?.styles ?? {});
    expect(said).toContain('markBehind/backgroundColor');
    expect(said).toContain('mount/rotate');
  });
  it('is left where it was set when the rest becomes a preset', () => {
    const opaque = { 'box/opacity': number(0.9), 'firstLayer/backgroundColor': role('accent') };
    const set = after(demo, setSlots(demo, { type: 'record', id: 'before' }, opaque));
    const made = after(set, must(makePreset(set, 'before', 'Pale')).edits);
    expect(Object.keys(nodeOf(made, 'before').styles)).toEqual(['firstLayer/backgroundColor']);
    expect(looks(made, 'home', 'before').filter(([part]) => part === 'firstLayer')).toEqual(
      looks(set, 'home', 'before').filter(([part]) => part === 'firstLayer'),
    );
  });
  it('says so where nothing of it is set', () => {
    const refused = keepForUse(demo, 'crossing', 'ground', 'Nothing');
    expect(refused.ok || refused.problem.message).toBe('Nothing of a ground is set here yet.');
  });
});

describe('a treatment', () => {
  it('reaches what a list holds when the list wears it', () => {
    const of = scopeOf(demo, 'aboard', 'picture-hesk');
    const behind = contributionsTo(demo, of, 'markBehind').get('backgroundColor');
    expect(winner(behind, 'rest', 'wide')?.record).toBe('rope-corner');
    expect(page(demo).split('galleryPicture-markBehind').length - 1).toBe(6);
    expect(page(demo, 'index.html')).not.toContain('picture-mount');
  });
  it('gives way to another in the schemes that say so, and is back where they say so no longer', () => {
    const on = (scheme: string | null) => {
      const site = after(demo, [{ op: 'set', id: 'aboard-tea', path: ['scheme'], value: scheme }]);
      const said = contributionsTo(site, scopeOf(site, 'aboard', 'tea'), 'mount').get('rotate');
      return winner(said, 'rest', 'wide')?.record;
    };
    expect(on('heather-moor')).toBe('print-at-night');
    expect(on('fog-bank')).toBe('print');
    const not = after(demo, [insteadIn('print', 'heather-moor', null)]);
    const said = contributionsTo(not, scopeOf(not, 'aboard', 'tea'), 'mount').get('rotate');
    expect(winner(said, 'rest', 'wide')?.record).toBe('print');
  });
  it('keeps no mention of a scheme or a preset that goes', () => {
    const without = after(demo, removePreset(demo, 'print-at-night'));
    expect(Object.keys(without.kinds.preset.get('print')?.instead ?? {})).toEqual([]);
    const schemeless = after(demo, must(removeScheme(demo, 'heather-moor', 'fog-bank')));
    expect(schemeless.kinds.preset.get('print')?.instead).toEqual({ 'night-run': 'print-at-night' });
  });
  it('responds to touch: what it shows under a pointer waits for no device that hovers (Media Queries 4, section 6.2)', () => {
    const said = after(demo, [
      ...setSlots(demo, { type: 'record', id: 'print' }, { 'picture:hover/scale': number(1.1) }),
      insteadIn('print', 'night-run', null),
    ]);
    const css = sheets(after(said, must(wearForUse(said, 'welcome-picture', 'treatment', 'print'))));
    const forPointers = css.match(/@media \(hover:hover\)\{[^{}]*\{[^{}]*\}/g) ?? [];
    const scaled = css.match(/[^{}]*\{scale:1\.1\}/g) ?? [];
    const answers = '.picture-box:is(:hover,:focus-visible,:has(:focus-visible))';
    expect(scaled.filter(it => it.includes(answers))).not.toEqual([]);
    expect(forPointers.filter(it => it.includes('.picture-box'))).toEqual([]);
    // A control would stay in its hover after it was touched.
    expect(forPointers.some(it => it.includes('.button-box:hover'))).toBe(true);
  });
  it('responds to keys: a picture that has something to show takes the focus, and no other', () => {
    const figure = (site: Site) => page(site, 'index.html').match(/<figure class="picture-box[^>]*>/)?.[0];
    const worn = after(demo, must(wearForUse(demo, 'welcome-picture', 'treatment', 'print')));
    expect(figure(worn)).not.toContain('tabindex');
    const said = after(
      worn,
      setSlots(worn, { type: 'record', id: 'print' }, { 'caption:hover/opacity': number(0.5) }),
    );
    // The picture stands in a scheme in which another treatment is worn instead.
    expect(figure(said)).not.toContain('tabindex');
    expect(figure(after(said, [insteadIn('print', 'night-run', null)]))).toContain('tabindex="0"');
  });
  it.each(Object.keys(PRESET_USES.treatment.parts))('has %s on a picture', part => {
    expect(renderAloneIn(part)).toContain(part);
  });
});

/** What a picture is drawn with where a treatment speaks of one part alone. */
function renderAloneIn(part: string): string {
  const { id, edits } = addPreset(demo, 'One', {
    use: 'treatment',
    styles: { [`${part}/opacity`]: number(0.5) },
  });
  const site = after(demo, edits);
  const row = specimenRows(site).find(it => it.preset === id);
  if (!row) throw new Error('no row');
  const options = { marks: true, links: false, noTabStops: true, assetUrl: () => '' };
  const drawn = renderAlone(site, row.element, 'daymark', {}, row.element.sample, options, id);
  return JSON.stringify(drawn);
}

describe('the specimen', () => {
  it('shows each ground on a section and each treatment on a picture', () => {
    const rows = specimenRows(demo).filter(it => it.preset !== null);
    expect(rows.map(it => [it.element.name, it.label])).toEqual([
      ['picture', 'Print'],
      ['picture', 'Print at night'],
      ['picture', 'Rope corner'],
      ['section', 'Open water'],
      ['section', 'Fair weather'],
    ]);
    expect(specimenScope(elementNamed('picture'), 'daymark', {}).wears).toEqual({});
  });
});

describe('blending, followed since schema 6', () => {
  const widget = (declarations: object, styles: object = {}) => ({
    id: 'a',
    kind: 'widget',
    styles,
    declarations,
  });
  it('is a style where it was a declaration, and nothing is lost beside it', () => {
    expect(
      upgradeRecord(widget({ 'box:hover@narrow/mix-blend-mode': 'multiply', 'box/tab-size': '2' }), 5),
    ).toEqual([
      widget({ 'box/tab-size': '2' }, { 'box:hover@narrow/blend': { type: 'keyword', value: 'multiply' } }),
    ]);
    const [bare] = upgradeRecord(widget({ 'box/mix-blend-mode': 'nonsense' }), 5);
    expect(bare).toEqual({ id: 'a', kind: 'widget', styles: {} });
    const same = widget({ 'box/tab-size': '2' });
    expect(upgradeRecord(same, 5)[0]).toBe(same);
  });
  it('comes so with edits that were waiting', () => {
    const edit = (op: string, path: string[], value?: unknown) => ({ op, id: 'a', path, value });
    const key = 'box/mix-blend-mode';
    const through = (it: object) => upgradeEdits([it], 5, () => ({ id: 'a', kind: 'widget' }));
    expect(through(edit('set', ['declarations', key], 'screen'))).toEqual([
      edit('set', ['styles', 'box/blend'], { type: 'keyword', value: 'screen' }),
    ]);
    expect(through(edit('set', ['declarations', key], 'nonsense'))).toEqual([]);
    expect(through(edit('unset', ['declarations', key]))).toEqual([edit('unset', ['styles', 'box/blend'])]);
    expect(through(edit('set', ['declarations'], { [key]: 'hue' }))).toEqual([
      { op: 'unset', id: 'a', path: ['declarations'] },
      edit('set', ['styles', 'box/blend'], { type: 'keyword', value: 'hue' }),
    ]);
    expect(through(edit('set', ['declarations'], { [key]: 'hue', 'box/tab-size': '2' }))[0]).toEqual(
      edit('set', ['declarations'], { 'box/tab-size': '2' }),
    );
  });
});
