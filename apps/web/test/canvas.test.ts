import {
  addWidget,
  allRecords,
  applyChange,
  duplicateNodes,
  type Edit,
  groupNodes,
  type Id,
  moveNodes,
  nodesIn,
  type PropertyName,
  removeNodes,
  SETTINGS,
  type Site,
  type SiteRecord,
  ungroup,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { howMuch, type Random, seeded, seedsFrom } from '../../../packages/core/test/support/random.ts';
import { PageMarkup } from '../src/canvas/pageMarkup.ts';
import { StyleEngine } from '../src/canvas/styleEngine.ts';
import { FakeSheet } from './support/fakeSheet.ts';

Object.assign(globalThis, { CSS: { escape: (text: string) => text } });

const PAGE = 'home';
const demo = tolvane(() => 'abcdef0123456789.webp');

const OPTIONS = {
  marks: true,
  links: false,
  noTabStops: true,
  assetUrl: ({ file }: { file: string }) => file,
};

/** A document with the page in it, as the canvas has it. */
class Drawn {
  readonly document = document.implementation.createHTMLDocument();
  readonly markup = new PageMarkup(this.document, PAGE, OPTIONS);
  /** Where elements were put or taken away: what was drawn anew. */
  drawn = 0;
  readonly engine: StyleEngine;
  constructor(private site: Site) {
    const view = { CSSStyleSheet: FakeSheet } as unknown as Window & typeof globalThis;
    this.engine = new StyleEngine(this.document, view, 'canvas', 'tolvane');
    this.engine.reset(site, this.page(site));
    this.markup.all(site);
  }
  private page(site: Site) {
    return site.kinds.page.get(PAGE) ?? null;
  }
  follow(site: Site, touched: ReadonlySet<Id>): void {
    this.engine.update(site, this.page(site), touched);
    this.markup.follow(this.site, site, touched);
    this.site = site;
  }
  get html(): string {
    return this.document.body.innerHTML;
  }
  /** All but the order of layers, which grows as ranks are met. */
  get sheets(): string[][] {
    return this.document.adoptedStyleSheets.slice(1).map(it => (it as unknown as FakeSheet).says);
  }
}

const set = (id: Id, path: readonly [string] | readonly [string, string], value: unknown): Edit => ({
  op: 'set',
  id,
  path,
  value,
});
const edits = (result: { ok: true; value: readonly Edit[] | { edits: readonly Edit[] } } | { ok: false }) =>
  !result.ok ? [] : 'edits' in result.value ? result.value.edits : result.value;
const px = (value: number) => ({ type: 'dimension', value: { value, unit: 'px' } });
const red = { type: 'color', value: { space: 'srgb', coords: [1, 0, 0], alpha: 1 } };
const COLOR: PropertyName = 'color';

/** What can be done to a site, at random. What cannot be done in it is nothing. */
const ACTS: Readonly<Record<string, (site: Site, random: Random) => readonly Edit[]>> = {
  'add a widget': (site, random) => addWidget(site, random.pick(nodesOf(site)), 0, 'button').edits,
  move: (site, random) =>
    edits(
      moveNodes(site, [random.pick(nodesOf(site))], random.pick([...nodesOf(site), PAGE]), random.int(3)),
    ),
  remove: (site, random) => removeNodes(site, [random.pick(nodesOf(site))]),
  duplicate: (site, random) => edits(duplicateNodes(site, [random.pick(nodesOf(site))])),
  group: (site, random) => edits(groupNodes(site, [random.pick(nodesOf(site)), random.pick(nodesOf(site))])),
  ungroup: (site, random) => edits(ungroup(site, random.pick(nodesOf(site)))),
  'set a value': (site, random) => [
    set(
      random.pick(nodesOf(site)),
      ['styles', `box${random.pick(['', ':hover'])}/paddingTop`],
      px(random.int(40)),
    ),
  ],
  'unset all': (site, random) => [set(random.pick(nodesOf(site)), ['styles'], {})],
  words: (_, random) => [set('book', ['content', 'label'], `Board ${random.int(100)}`)],
  scheme: (site, random) => [
    set(
      random.pick([...site.kinds.section.keys()]),
      ['scheme'],
      random.pick([...site.kinds.scheme.keys(), null]),
    ),
  ],
  'a text style': (site, random) => [
    set(random.pick([...site.kinds.textStyle.keys()]), ['styles', '/fontSize'], px(random.int(40))),
  ],
  'a default': (site, random) => [
    set(random.pick([...site.kinds.default.keys()]), ['styles', `box/${COLOR}`], red),
  ],
  'a variant': (site, random) => [
    set(random.pick([...site.kinds.variant.keys()]), ['styles', 'box/marginTop'], px(random.int(9))),
  ],
  'a preset': (site, random) => [
    set(random.pick([...site.kinds.preset.keys()]), ['styles', 'box/marginTop'], px(random.int(9))),
  ],
  'a swatch': (site, random) => [
    set(random.pick([...site.kinds.token.values()].filter(it => it.type === 'color')).id, ['value'], red),
  ],
  'a name': (site, random) => [
    set(
      random.pick([...site.kinds.token.keys(), ...site.kinds.variant.keys()]),
      ['name'],
      `N ${random.int(99)}`,
    ),
  ],
  'a page': (site, random) => [
    set(random.pick([...site.kinds.page.keys()]), ['title'], `T ${random.int(99)}`),
  ],
  areas: (_, random) => [set(PAGE, ['areas'], { header: random.int(2) === 0, sidebar: random.int(2) === 0 })],
  'the settings': (_, random) => [set(SETTINGS, ['mediumTo'], 900 + random.int(100))],
};
const nodesOf = (site: Site): Id[] => [...nodesIn(site, PAGE), ...nodesIn(site, SETTINGS)];

describe('a page that is drawn', () => {
  it.each(seedsFrom(1, howMuch(6, 200)))(
    'is after any edits and steps back what it would be drawn anew, seed %i',
    seed => {
      const random = seeded(seed);
      let site = demo;
      const drawn = new Drawn(site);
      const inverses: (readonly Edit[])[] = [];
      const done: string[] = [];
      for (let i = 0; i < 40; i++) {
        const back = random.int(4) === 0 ? inverses.pop() : undefined;
        const name = random.pick(Object.keys(ACTS));
        const applied = applyChange(site, { edits: back ?? ACTS[name]?.(site, random) ?? [] });
        if (!applied.ok || applied.value.after.size === 0) continue;
        done.push(back ? 'undo' : name);
        if (!back) inverses.push(applied.value.inverse);
        site = applied.value.site;
        drawn.follow(site, new Set(applied.value.after.keys()));
        const fresh = new Drawn(site);
        expect([done, drawn.html]).toEqual([done, fresh.html]);
        expect([done, drawn.sheets]).toEqual([done, fresh.sheets]);
      }
      expect(done.length).toBeGreaterThan(15);
    },
  );
});

describe('an edit draws anew', () => {
  const note: SiteRecord = { id: 'brief', kind: 'note', name: 'Brief', order: 'V', text: 'Plain.' };
  const role: SiteRecord = { id: 'own', kind: 'role', name: 'Own', order: 'V', fallback: 'text', on: null };
  const mark: SiteRecord = {
    id: 'knot',
    kind: 'drawing',
    name: 'Knot',
    order: 'V',
    use: 'mark',
    width: 10,
    height: 10,
    paths: [{ d: 'M0 0L10 10', fill: null, stroke: null, width: 1 }],
  };
  const start = applyChange(demo, { edits: [note, role, mark].map(record => ({ op: 'put', record })) });
  if (!start.ok) throw new Error(start.problem.message);
  const { site } = start.value;

  /** The things whose elements are not those they were, and how many rules were written. */
  function drawnBy(...some: Edit[]): { things: string[]; rules: number } {
    const drawn = new Drawn(site);
    const before = new Map(
      [...drawn.document.querySelectorAll('[data-node]')].map(it => [it, it.isConnected]),
    );
    let rules = 0;
    for (const sheet of drawn.document.adoptedStyleSheets as unknown as FakeSheet[]) {
      const { insertRule, replaceSync } = sheet;
      sheet.insertRule = (text, index) => {
        rules++;
        return insertRule.call(sheet, text, index);
      };
      sheet.replaceSync = text => {
        rules++;
        replaceSync.call(sheet, text);
      };
    }
    const applied = applyChange(site, { edits: some });
    if (!applied.ok) throw new Error(applied.problem.message);
    drawn.follow(applied.value.site, new Set(applied.value.after.keys()));
    const things = [...drawn.document.querySelectorAll('[data-node]')]
      .filter(it => !before.has(it))
      .map(it => it.getAttribute('data-node') ?? '');
    return { things: [...new Set(things)], rules };
  }
  const everything = new Set([...nodesIn(site, PAGE), ...nodesIn(site, SETTINGS)]).size;

  it.each<[string, Edit]>([
    ['a note', set('brief', ['text'], 'Plainer.')],
    ['a role’s name', set('own', ['name'], 'Other')],
    ['a drawing’s name', set('knot', ['name'], 'Bend')],
    ['a drawing that nothing shows', set('knot', ['width'], 12)],
    ['a swatch’s name', set('hull', ['name'], 'Keel')],
    ['a page’s description', set('home', ['description'], 'Ferries.')],
    ['a picture’s name', set([...site.kinds.asset.keys()][0] ?? '', ['name'], 'Quay')],
  ])('nothing for %s', (_, edit) => {
    expect(drawnBy(edit)).toEqual({ things: [], rules: 0 });
  });

  it('the faces alone for a font', () => {
    const font: SiteRecord = {
      id: 'ownFont',
      kind: 'font',
      family: 'Own Face',
      category: 'sans',
      cut: 'normal',
      weightFrom: 400,
      weightTo: 700,
      file: 'abcdef0123456789.woff2',
      format: 'woff2',
      bytes: 10,
      metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 450 },
    };
    expect(drawnBy({ op: 'put', record: font })).toEqual({ things: [], rules: 1 });
  });

  it('its holder alone for what is put, moved or taken away in it', () => {
    const holder = site.kinds.widget.get('feature-cars')?.at.parent ?? '';
    const inHolder = [holder, ...nodesIn(site, holder)];
    const moved = drawnBy(...edits(moveNodes(site, ['feature-cars'], holder, 3)));
    expect(moved.things.sort()).toEqual(inHolder.sort());
    const gone = drawnBy(...removeNodes(site, ['feature-dogs']));
    expect(gone.things.length).toBeLessThan(inHolder.length);
    expect(gone.things.length).toBeLessThan(everything / 2);
  });

  it('no section for one that is moved or taken away, and one for one that is put', () => {
    const [first = '', second = ''] = [...site.kinds.section.values()]
      .filter(it => it.at.parent === PAGE)
      .map(it => it.id);
    expect(drawnBy(...edits(moveNodes(site, [first], PAGE, 2))).things).toEqual([]);
    expect(drawnBy(...removeNodes(site, [second])).things).toEqual([]);
    const copied = edits(duplicateNodes(site, [first]));
    const put = copied.flatMap(it => (it.op === 'put' ? [it.record.id] : []));
    expect(drawnBy(...copied).things.sort()).toEqual(put.sort());
  });

  it('only the rules of what uses it for a text style', () => {
    const [style] = [...site.kinds.textStyle.values()].filter(
      it =>
        [...allRecords(site)].filter(user => JSON.stringify(user).includes(`"style":"${it.id}"`)).length > 0,
    );
    const { things, rules } = drawnBy(set(style?.id ?? '', ['styles', '@medium/fontSize'], px(20)));
    expect(things).toEqual([]);
    const users = [...allRecords(site)].filter(it => JSON.stringify(it).includes(`"style":"${style?.id}"`));
    expect(rules).toBeGreaterThan(0);
    expect(rules).toBeLessThan(users.length * 12);
  });
});
