import { describe, expect, it } from '@jest/globals';
import { computedStyles, contributionsTo, nodeScope, threadOf } from '../src/cascade/index.ts';
import {
  addWidget,
  convertWidget,
  copyThings,
  duplicateNode,
  groupNodes,
  moveNode,
  nudge,
  pasteThings,
  readClip,
  ungroup,
} from '../src/commands/index.ts';
import { reachOf } from '../src/reach/index.ts';
import { chainsBetween, makesPart } from '../src/render/chains.ts';
import { pageStyles, printHtml, publishSite, renderNode } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  getRecord,
  type Id,
  lookupOf,
  nodesUnder,
  rightsFor,
  type Site,
} from '../src/site/index.ts';
import type { SiteBuilder } from '../src/starters/index.ts';
import {
  CONVERSIONS,
  ELEMENTS,
  elementNamed,
  hostOf,
  isItem,
  itemsOf,
  type Match,
  ownerOf,
  partNames,
  partOf,
  statesOf,
  styledParts,
} from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;

/** An accordion within an entry of another, each in a look of its own where that is asked for. */
const nested = (fill: (b: SiteBuilder) => void = () => {}, outer = {}, inner = {}): Site =>
  tiny(b => {
    b.variant('wide', 'accordion', 'look', 'Wide', { 'bar/paddingLeft': '11px' });
    b.variant('open', 'accordion', 'look', 'Open', {
      'bar:selected/paddingLeft': '22px',
      'panel/paddingLeft': '33px',
    });
    b.variant('own', 'accordionEntry', 'look', 'Own', { 'bar/paddingLeft': '44px' });
    fill(b);
    b.widget('outer', 'one', 'accordion', {}, outer);
    b.widget('first', 'outer', 'accordionEntry', { title: 'First' });
    b.widget('second', 'outer', 'accordionEntry', { title: 'Second' });
    b.widget('inner', 'first', 'accordion', {}, inner);
    b.widget('within', 'inner', 'accordionEntry', { title: 'Within' });
    b.widget('words', 'within', 'text', { text: [[{ text: 'Words' }]] });
  });

const scopeOf = (site: Site, id: Id) => {
  const scope = nodeScope(site, 'home', id);
  if (!scope) throw new Error(`${id} stands nowhere`);
  return scope;
};
const left = (site: Site, id: Id, part = 'bar', state: 'rest' | 'selected' = 'rest') =>
  computedStyles(site, scopeOf(site, id), part, state === 'rest' ? ['rest'] : ['rest', state], 'wide').get(
    'paddingLeft',
  );

describe('what is said of an item', () => {
  it('by its holder’s variant holds for each of its items, and for none of a holder within', () => {
    const site = nested(undefined, { variants: { look: 'wide' } });
    expect([left(site, 'first'), left(site, 'second'), left(site, 'within')]).toEqual([
      '11px',
      '11px',
      '0px',
    ]);
  });
  it('ranks program < default of the item < holder < its own', () => {
    const said: [(b: SiteBuilder) => void, string][] = [];
    const step = (add: (b: SiteBuilder) => void, value: string) => said.push([add, value]);
    step(() => {}, '0px');
    step(b => b.default('accordionEntry', { 'bar/paddingLeft': '1px' }), '1px');
    step(
      b => b.default('accordionEntry', { 'bar/paddingLeft': '2px' }, { type: 'section', section: 'one' }),
      '2px',
    );
    step(b => b.default('accordion', { 'bar/paddingLeft': '3px' }), '3px');
    let fill: (b: SiteBuilder) => void = () => {};
    for (const [add, value] of said) {
      const before = fill;
      fill = b => {
        before(b);
        add(b);
      };
      expect(left(nested(fill), 'first')).toBe(value);
    }
    const all = (outer: object, edits: readonly Edit[] = []) => after(nested(fill, outer), edits);
    expect(left(all({ variants: { look: 'wide' } }), 'first')).toBe('11px');
    const styled = { variants: { look: 'wide' }, styles: { 'bar/paddingLeft': '5px' } };
    expect(left(all(styled), 'first')).toBe('5px');
    const chosen: Edit = { op: 'set', id: 'first', path: ['variants'], value: { look: 'own' } };
    expect(left(all(styled, [chosen]), 'first')).toBe('44px');
    const set: Edit = {
      op: 'set',
      id: 'first',
      path: ['styles', 'bar/paddingLeft'],
      value: { type: 'dimension', value: { value: 6, unit: 'px' } },
    };
    expect(left(all(styled, [chosen, set]), 'first')).toBe('6px');
  });
  it('by a preset its holder wears holds by kind of part, under what the item wears itself', () => {
    const presets = (b: SiteBuilder) => {
      b.preset('mist', 'Mist', { 'heading/opacity': 0.5 });
      b.preset('rain', 'Rain', { 'heading/opacity': 0.25 });
    };
    const site = nested(presets, { wears: ['rain'] });
    const opacity = (it: Site) =>
      computedStyles(it, scopeOf(it, 'first'), 'title', ['rest'], 'wide').get('opacity');
    expect(opacity(site)).toBe('0.25');
    const worn: Edit = {
      op: 'set',
      id: 'first',
      path: ['wears'],
      value: { w: { preset: 'mist', order: 'V', on: true } },
    };
    expect(opacity(after(site, [worn]))).toBe('0.5');
    const page = site.kinds.page.get('home');
    if (!page) throw new Error('no page');
    const css = pageStyles(after(site, [worn]), page, { mode: 'published', assetUrl: () => '' });
    // Layers decide: what an item wears stands behind all that its holder says.
    const layers = css.slice(0, css.indexOf(';')).split(',');
    expect(layers.indexOf('c0-0-1100000')).toBeGreaterThan(layers.indexOf('c0-0-100000'));
  });
  it('shows on the thread with the record that says it', () => {
    const site = nested(undefined, { variants: { look: 'wide' } });
    const thread = threadOf(site, scopeOf(site, 'first'), {
      part: 'bar',
      state: 'rest',
      width: 'wide',
      property: 'paddingLeft',
    });
    expect(thread.from).toMatchObject({
      origin: 'variant',
      record: 'wide',
      part: 'bar',
      element: 'accordionEntry',
    });
    expect(thread.overridden.map(it => it.origin)).toEqual(['program']);
  });
  it('says of the default of an item that its holder is the nearer one', () => {
    const site = nested(b => {
      b.default('accordionEntry', { 'bar/paddingLeft': '1px' });
      b.default('accordion', { 'bar/paddingLeft': '3px' });
    });
    const thread = threadOf(site, scopeOf(site, 'first'), {
      part: 'bar',
      state: 'rest',
      width: 'wide',
      property: 'paddingLeft',
    });
    expect(thread.overridden.map(it => [it.origin, it.why])).toEqual([
      ['default', 'origin'],
      ['program', 'origin'],
    ]);
  });
  it('is reached from its holder’s variant', () => {
    const site = nested(undefined, { variants: { look: 'wide' } });
    expect(reachOf(site, 'wide').uses).toBe(3);
  });
  it('in a state follows the entry that is open, and not one around it', () => {
    const site = nested(undefined, { variants: { look: 'open' } }, { variants: { look: 'wide' } });
    expect(left(site, 'first', 'bar', 'selected')).toBe('22px');
    expect(left(site, 'within', 'bar', 'selected')).toBe('11px');
    expect(contributionsTo(site, scopeOf(site, 'within'), 'panel').get('paddingLeft')).toHaveLength(1);
  });
});

describe('items', () => {
  const entry = elementNamed('accordionEntry');
  const accordion = elementNamed('accordion');
  it('have parts that their holders name, each under another name than any of the holder’s', () => {
    for (const holder of ELEMENTS) {
      const names = styledParts(holder);
      expect(new Set(names).size).toBe(names.length);
      for (const item of itemsOf(holder)) expect(item.onlyIn).toContain(holder.name);
    }
    expect(partOf(accordion, 'title')).toBe(entry.parts.title);
    expect(ownerOf(accordion, 'title')).toBe(entry);
    expect(statesOf(accordion, 'title')).toEqual(['hover', 'focus', 'pressed', 'selected']);
    expect(hostOf(accordion, 'title', 'selected')).toBe('entry');
    expect(hostOf(accordion, 'title', 'hover')).toBe('bar');
  });
  it('stand only in their holder, which holds nothing else', () => {
    const problem = (edits: readonly Edit[]) => {
      const result = applyChange(demo, { edits });
      return result.ok ? null : result.problem;
    };
    const at = (parent: Id) => ({ parent, order: 'V' });
    expect(problem([{ op: 'set', id: 'asked-fog', path: ['at'], value: at('questions') }])).toMatchObject({
      code: 'bad-parent',
      message: 'An entry cannot stand in a section.',
      expected: 'an accordion for an entry',
    });
    expect(problem([{ op: 'set', id: 'questions-title', path: ['at'], value: at('asked') }])).toMatchObject({
      code: 'bad-parent',
    });
    expect(
      problem([
        { op: 'set', id: 'asked', path: ['widget'], value: 'group' },
        { op: 'set', id: 'asked', path: ['content'], value: {} },
        { op: 'set', id: 'asked', path: ['variants'], value: {} },
      ]),
    ).toMatchObject({ code: 'bad-parent', message: 'A group cannot hold what stands in it.' });
    expect(moveNode(demo, 'asked-fog', 'asked-decks', 0).ok).toBe(true);
    expect(moveNode(demo, 'asked-fog', 'questions', 0).ok).toBe(false);
    expect(groupNodes(demo, ['asked-fog', 'asked-late']).ok).toBe(false);
    expect(ungroup(demo, 'asked').ok).toBe(false);
  });
  it('go by keys among each other, and from one holder on into the next', () => {
    const second = addWidget(demo, 'questions', 99, 'accordion');
    const site = after(demo, second.edits);
    expect(nodesUnder(after(site, must(nudge(site, 'asked-fog', 'down'))), 'asked').at(-1)).toBe('asked-fog');
    const moved = after(site, must(nudge(site, 'asked-late', 'down')));
    expect(nodesUnder(moved, second.id)[0]).toBe('asked-late');
  });
  it('are made with their holder, each with what it holds at first', () => {
    const { edits, id } = addWidget(demo, 'questions', 0, 'accordion');
    const site = after(demo, edits);
    const entries = nodesUnder(site, id);
    expect(entries).toHaveLength(3);
    for (const it of entries)
      expect(nodesUnder(site, it).map(held => site.kinds.widget.get(held)?.widget)).toEqual(['text']);
  });
  it('are undone in one step with all that stands in them', () => {
    const { edits, id } = must(duplicateNode(demo, 'asked'));
    const made = must(applyChange(demo, { edits }));
    expect(nodesUnder(made.site, id)).toHaveLength(3);
    const back = after(made.site, made.inverse);
    expect(getRecord(back, id)).toBeUndefined();
    expect(back.kinds.widget.size).toBe(demo.kinds.widget.size);
  });
  const clipped = (id: Id) => {
    const clip = readClip(JSON.stringify(copyThings(demo, [id])));
    if (!clip) throw new Error('no clip');
    return clip;
  };
  it('are pasted into a holder as they are', () => {
    const pasted = must(pasteThings(demo, clipped('asked-dogs'), 'asked-decks', 0));
    expect(pasted.loosened).toEqual([]);
    const site = after(demo, pasted.edits);
    expect(site.kinds.widget.get(nodesUnder(site, 'asked-decks')[0] ?? '')?.content.title).toBe(
      'May the dog come?',
    );
  });
  it('become what carries their content where they cannot stand, and that is told', () => {
    const pasted = must(pasteThings(demo, clipped('asked-dogs'), 'questions', 0));
    expect(pasted.loosened).toEqual(['accordionEntry']);
    const site = after(demo, pasted.edits);
    const made = nodesUnder(site, 'questions').slice(0, 3);
    expect(made.map(it => site.kinds.widget.get(it)?.widget)).toEqual(['heading', 'text', 'accordion']);
    expect(site.kinds.widget.get(made[0] ?? '')?.content.text).toBe('May the dog come?');
    expect(nodesUnder(site, made[2] ?? '')).toHaveLength(2);
  });
});

describe('an item on a clipboard that somebody else wrote', () => {
  it('takes each record once, however the records stand in each other', () => {
    const clip = copyThings(demo, ['asked-fog']);
    const [root, text] = clip.things[0] ?? [];
    if (!root || !text) throw new Error('no entry');
    const around = { ...root, at: { parent: text.id, order: 'V' } };
    const tied = must(pasteThings(demo, { ...clip, things: [[around, text]] }, 'questions', 0));
    expect(tied.edits.filter(it => it.op === 'put')).toHaveLength(2);
    const deep = Array.from({ length: 20_000 }, (_, i) => ({
      ...text,
      id: `deep${i}`,
      at: { parent: i === 0 ? root.id : `deep${i - 1}`, order: 'V' },
    }));
    // It is read through; what cannot stand so deep is refused where it is applied.
    const { edits } = must(pasteThings(demo, { ...clip, things: [[root, ...deep]] }, 'questions', 0));
    expect(edits).toHaveLength(20_001);
    expect(applyChange(demo, { edits }).ok).toBe(false);
  });
});

describe('a part of the items, asked for where their holder is', () => {
  const site = nested(b => b.default('accordionEntry', { 'title/opacity': 0.5 }), {
    variants: { look: 'wide' },
  });
  it('answers with all that holds for an item that says nothing itself', () => {
    const asked = (id: Id, part: string) =>
      Object.fromEntries(computedStyles(site, scopeOf(site, id), part, ['rest'], 'wide'));
    expect(asked('outer', 'bar')).toEqual(asked('second', 'bar'));
    expect(asked('outer', 'title')).toMatchObject({ opacity: '0.5' });
  });
  it('has its thread to the part around it', () => {
    const question = { part: 'title', state: 'rest', width: 'wide', property: 'color' } as const;
    const thread = threadOf(site, scopeOf(site, 'outer'), question);
    expect(thread.value).toEqual(threadOf(site, scopeOf(site, 'second'), question).value);
    expect(thread.from).toMatchObject({ origin: 'program', part: 'title' });
  });
});

describe('the markup of an accordion', () => {
  const html = (site: Site, id: Id, open?: ReadonlySet<Id>) => {
    const node = site.kinds.widget.get(id);
    if (!node) throw new Error(id);
    const outer = scopeOf(site, node.at.parent);
    return printHtml(
      renderNode(site, outer, node, { marks: false, links: true, assetUrl: () => '', ...(open && { open }) }),
    );
  };
  const opened = (text: string) =>
    [...text.matchAll(/<details[^>]*id="w-(\w+)"[^>]* open/g)].map(it => it[1]);
  const saying = (content: object): Site =>
    after(nested(), [{ op: 'set', id: 'outer', path: ['content'], value: content }]);
  it('opens what it is told to, and what is being edited', () => {
    expect(opened(html(saying({}), 'outer'))).toEqual([]);
    expect(opened(html(saying({ open: 'first' }), 'outer'))).toEqual(['first']);
    expect(opened(html(saying({ open: 'all' }), 'outer'))).toEqual(['first', 'second']);
    expect(opened(html(saying({}), 'outer', new Set(['second'])))).toEqual(['second']);
  });
  it('gives entries of which one at a time is open a name of their own holder', () => {
    expect(html(saying({ several: 'one' }), 'outer')).toMatch(/id="w-first" name="w-outer-one"/);
    expect(html(saying({}), 'outer')).not.toContain('name=');
  });
  it('uses no id twice on any published page of the demo', () => {
    for (const [path, text] of publishSite(demo).files) {
      if (!path.endsWith('.html')) continue;
      const ids = [...text.matchAll(/ id="([^"]+)"/g)].map(it => it[1]);
      expect({ path, twice: ids.filter((it, i) => ids.indexOf(it) !== i) }).toEqual({ path, twice: [] });
    }
  });
});

describe('states', () => {
  it('are followed child by child where other widgets may stand between, and at any depth where none can', () => {
    const entry = elementNamed('accordionEntry');
    expect(chainsBetween(entry, 'entry', 'bar')).toEqual(['>']);
    expect(chainsBetween(entry, 'entry', 'title')).toEqual(['>.accordionEntry-bar ']);
    expect(chainsBetween(elementNamed('button'), 'box', 'label')).toEqual([' ']);
  });
  it('of each part follow a part that the markup really makes around it', () => {
    for (const element of ELEMENTS)
      for (const part of partNames(element))
        for (const state of statesOf(element, part)) {
          if (!element.markup || partOf(element, part)?.pseudo) continue;
          const host = hostOf(element, part, state);
          const at = `${element.name} ${part}:${state}`;
          expect({ at, made: makesPart(element, part) && makesPart(element, host) }).toEqual({
            at,
            made: true,
          });
        }
  });
  it('of items are said in the classes of the item, whoever says them', () => {
    const site = nested(undefined, { variants: { look: 'open' } });
    const page = site.kinds.page.get('home');
    if (!page) throw new Error('no page');
    const css = pageStyles(site, page, { mode: 'published', assetUrl: () => '' });
    expect(css).toContain(
      '.accordionEntry-entry:is([aria-current],[aria-selected=true],[aria-expanded=true],:checked,[open],:popover-open)>.v-open-bar',
    );
  });
  it('that items have by themselves are those of items alone', () => {
    expect(ELEMENTS.filter(isItem).map(it => it.name)).toContain('accordionEntry');
  });
});

describe('an accordion that becomes tabs', () => {
  const own = (b: SiteBuilder) => {
    b.widget(
      'styled',
      'one',
      'accordion',
      { open: 'first', several: 'one', level: 4 },
      {
        variants: { look: 'wide' },
        styles: { 'bar:selected/paddingLeft': '7px', 'arrow/opacity': 0.5, 'panel/opacity': 0.75 },
      },
    );
    b.widget(
      'styled-a',
      'styled',
      'accordionEntry',
      { title: 'A', icon: 'anchor' },
      {
        variants: { look: 'own' },
        styles: { 'entry/opacity': 0.25, 'title@narrow/opacity': 0.5 },
      },
    );
    b.widget('styled-t', 'styled-a', 'text', { text: [[{ text: 'Words' }]] });
    b.widget('below', 'styled-a', 'accordion', { level: 5 });
    b.widget('below-a', 'below', 'accordionEntry', { title: 'Deep' });
  };
  const site = nested(own);
  const there = must(convertWidget(site, 'styled', 'tabs'));
  const tabs = after(site, there.edits);
  const record = (it: Site, id: Id) => {
    const found = it.kinds.widget.get(id);
    if (!found) throw new Error(id);
    return found;
  };
  it('keeps its items with their words, what stands in them, and the values that fit', () => {
    expect(record(tabs, 'styled')).toMatchObject({ widget: 'tabs', content: {}, variants: {} });
    expect(Object.keys(record(tabs, 'styled').styles)).toEqual(['tab:selected/paddingLeft', 'panel/opacity']);
    expect(record(tabs, 'styled-a')).toMatchObject({
      widget: 'tab',
      content: { title: 'A', icon: 'anchor' },
    });
    expect(nodesUnder(tabs, 'styled-a')).toEqual(['styled-t', 'below']);
    // What stands within a panel stays what it is.
    expect(record(tabs, 'below')).toBe(record(site, 'below'));
  });
  it('tells what waits for the way back', () => {
    expect(there.parked).toEqual(['Open at first', 'Open at once', 'Title level', 'Wide', '1 value', 'Own']);
  });
  it('is the very same after the way back, and undone in one step', () => {
    const back = after(tabs, must(convertWidget(tabs, 'styled', 'accordion')).edits);
    for (const id of ['styled', 'styled-a']) expect(record(back, id)).toEqual(record(site, id));
    const undone = after(tabs, must(applyChange(site, { edits: there.edits })).inverse);
    for (const id of ['styled', 'styled-a']) expect(record(undone, id)).toEqual(record(site, id));
  });
  it('takes back what was altered meanwhile, and waits with what tabs alone have', () => {
    const named = after(tabs, [
      { op: 'set', id: 'styled', path: ['content', 'label'], value: 'Days' },
      { op: 'set', id: 'styled-a', path: ['content', 'title'], value: 'B' },
    ]);
    const back = after(named, must(convertWidget(named, 'styled', 'accordion')).edits);
    expect(record(back, 'styled').content).toEqual({ open: 'first', several: 'one', level: 4 });
    expect(record(back, 'styled-a').content.title).toBe('B');
    const again = after(back, must(convertWidget(back, 'styled', 'tabs')).edits);
    expect(record(again, 'styled').content).toEqual({ label: 'Days' });
  });
  it('leaves behind what named something that has gone meanwhile', () => {
    const gone = after(tabs, [{ op: 'remove', id: 'wide' }]);
    const back = after(gone, must(convertWidget(gone, 'styled', 'accordion')).edits);
    expect(record(back, 'styled')).toMatchObject({ widget: 'accordion', variants: {} });
    expect(record(back, 'styled').styles).toEqual(record(site, 'styled').styles);
  });
  it('needs no right to style where nothing is styled', () => {
    const rights = rightsFor(must(convertWidget(site, 'outer', 'tabs')).edits, lookupOf(site));
    expect(rights).not.toContain('style');
    expect(rights).not.toContain('guide');
    expect(rightsFor(there.edits, lookupOf(site))).toContain('style');
  });
  it('becomes nothing that the table does not name', () => {
    expect(convertWidget(site, 'words', 'table')).toMatchObject({
      ok: false,
      problem: { code: 'no-conversion' },
    });
  });
});

describe('the table of conversions', () => {
  it('names each pair in both directions, with parts and fields that both elements have', () => {
    for (const { from, to, content, parts, items } of CONVERSIONS) {
      expect(CONVERSIONS.filter(it => it.from === to && it.to === from)).toHaveLength(1);
      const check = (a: string, b: string, match: Match) => {
        for (const [field, other] of Object.entries(match.content))
          expect([a, field, elementNamed(a).content[field]?.type]).toEqual([
            a,
            field,
            elementNamed(b).content[other]?.type,
          ]);
        for (const [part, other] of Object.entries(match.parts)) {
          expect([a, part, partOf(elementNamed(a), part) !== undefined]).toEqual([a, part, true]);
          expect([b, other, partOf(elementNamed(b), other) !== undefined]).toEqual([b, other, true]);
        }
      };
      check(from, to, { content, parts });
      for (const [item, match] of Object.entries(items)) check(item, match.to, match);
    }
  });
});

describe('a navigation', () => {
  const site = tiny(b => {
    b.page('isles', 'isles', 'Isles', '');
    b.page('hesk', 'hesk', 'Hesk', '', { parent: 'isles' });
    b.widget('nav', 'one', 'navigation', { label: 'Main', depth: 2 });
    b.widget('call', 'nav', 'navigationEntry', {
      label: 'Call us',
      link: { type: 'phone', number: '+1 555' },
    });
    b.widget('late', 'call', 'navigationEntry', { label: 'At night' });
  });
  const html = (it: Site, marks = false) => {
    const nav = it.kinds.widget.get('nav');
    if (!nav) throw new Error('no navigation');
    return printHtml(renderNode(it, scopeOf(it, 'one'), nav, { marks, links: true, assetUrl: () => '' }));
  };
  const order = (text: string, ...words: string[]) => words.map(it => text.indexOf(`>${it}<`));
  it('shows the pages, those below them as far as it is asked for, and its own entries behind', () => {
    const places = order(html(site), 'Home', 'Isles', 'Hesk', 'Call us', 'At night');
    expect(places.every((at, i) => at > (places[i - 1] ?? 0))).toBe(true);
    const flat = after(site, [{ op: 'set', id: 'nav', path: ['content', 'depth'], value: 1 }]);
    expect(html(flat)).not.toContain('>Hesk<');
    const own = after(site, [{ op: 'set', id: 'nav', path: ['content', 'entries'], value: 'entries' }]);
    expect(order(html(own), 'Home', 'Isles')).toEqual([-1, -1]);
    expect(html(own)).toContain('>Call us<');
  });
  it('has entries before the pages where that is asked for', () => {
    const first = after(site, [{ op: 'set', id: 'call', path: ['content', 'place'], value: 'before them' }]);
    const places = order(html(first), 'Call us', 'Home', 'Isles');
    expect(places.every((at, i) => at > (places[i - 1] ?? -1))).toBe(true);
  });
  it('marks the page that one is on, and those that it stands below (WAI-ARIA 1.2, aria-current)', () => {
    const shared = after(site, [
      {
        op: 'put',
        record: {
          id: 'head',
          kind: 'section',
          area: 'header',
          name: 'Header',
          at: { parent: 'settings', order: 'V' },
          scheme: null,
          rebind: {},
          variants: {},
          wears: {},
          styles: {},
        },
      },
      { op: 'set', id: 'nav', path: ['at'], value: { parent: 'head', order: 'V' } },
    ]);
    const marked = (path: string) =>
      [
        ...(publishSite(shared).files.get(path) ?? '').matchAll(/aria-current="(\w+)"><span[^>]*>([^<]+)</g),
      ].map(it => it.slice(1));
    expect(marked('isles/hesk/index.html')).toEqual([
      ['true', 'Isles'],
      ['page', 'Hesk'],
    ]);
    expect(marked('isles/index.html')).toEqual([['page', 'Isles']]);
    expect(marked('index.html')).toEqual([['page', 'Home']]);
  });
  it('calls pages by their short names', () => {
    const short = after(site, [{ op: 'set', id: 'hesk', path: ['shortName'], value: 'H.' }]);
    expect(html(short)).toContain('>H.</span></a>');
  });
  it('has what it makes picked as a part of itself, and what stands in it by itself', () => {
    const text = html(site, true);
    expect(text).toMatch(/data-part="word" data-node="nav"[^>]*>Isles</);
    expect(text).toMatch(/data-part="word" data-node="call"[^>]*>Call us</);
  });
  it('has a say in how entries look that stand below an entry', () => {
    const styled = after(site, [
      { op: 'set', id: 'nav', path: ['styles', 'link/opacity'], value: { type: 'number', value: 0.5 } },
    ]);
    const opacity = (id: Id) =>
      computedStyles(styled, scopeOf(styled, id), 'link', ['rest'], 'wide').get('opacity');
    expect([opacity('call'), opacity('late'), opacity('nav')]).toEqual(['0.5', '0.5', '0.5']);
  });
});
