import { describe, expect, it } from '@jest/globals';
import { contributionsTo, nodeScope, specimenScope } from '../src/cascade/index.ts';
import {
  addSection,
  addWidget,
  canStandIn,
  duplicateNode,
  moveNode,
  nudge,
  resetNode,
  setSlot,
  targetId,
  wearersOf,
} from '../src/commands/index.ts';
import { renderCell, samplesIn, specimenRows, viewportOf } from '../src/render/index.ts';
import { applyChange, childrenOf, type Edit, getRecord, isNode, type Site } from '../src/site/index.ts';
import { elementNamed, isItem, WIDGETS } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
function after(site: Site, edits: readonly Edit[]): Site {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
}
function done<T>(result: { ok: true; value: T } | { ok: false; problem: { message: string } }): T {
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
}
const node = (site: Site, id: string) => {
  const record = getRecord(site, id);
  if (!isNode(record)) throw new Error(`${id} is no node`);
  return record;
};

describe('adding', () => {
  it.each([0, 1, 3, 99])('a section at place %d stands there', index => {
    const { edits, id } = addSection(demo, 'home', index);
    expect(childrenOf(after(demo, edits), 'home').indexOf(id)).toBe(Math.min(index, 4));
  });
  it.each(WIDGETS.filter(it => !isItem(it)).map(it => it.name))(
    'a %s begins with words of its own and no value',
    name => {
      const { edits, id } = addWidget(demo, 'before', 1, name);
      const made = after(demo, edits).kinds.widget.get(id);
      expect(made).toMatchObject({
        widget: name,
        styles: {},
        wears: {},
        content: elementNamed(name).begins,
      });
    },
  );
  it('says nothing of the sample’s: no link leads anywhere, and no word is the scenario’s', () => {
    for (const { name, begins } of WIDGETS) {
      expect({ name, link: begins.link ?? null }).toEqual({ name, link: null });
      expect(JSON.stringify(begins)).not.toMatch(/tolvane|hesk|carrow|ferr|tides|https?:/i);
    }
  });
  it('goes on finding room between two neighbours', () => {
    let site = demo;
    for (let i = 0; i < 60; i++) site = after(site, addWidget(site, 'before', 1, 'divider').edits);
    expect(childrenOf(site, 'before')).toHaveLength(62);
    expect(childrenOf(site, 'before')[0]).toBe('before-title');
  });
  it('gives new keys where two stand on the same one', () => {
    const at = node(demo, 'before-title').at;
    const tied = after(demo, [{ op: 'set', id: 'before-row', path: ['at'], value: at }]);
    const { edits, id } = addWidget(tied, 'before', 1, 'divider');
    const site = after(tied, edits);
    expect(childrenOf(site, 'before')).toHaveLength(3);
    expect(childrenOf(site, 'before')[1]).toBe(id);
  });
});

describe('moving', () => {
  it('knows where a thing can stand', () => {
    expect(canStandIn(demo, node(demo, 'book'), 'before')).toBe(true);
    expect(canStandIn(demo, node(demo, 'book'), 'today')).toBe(false);
    expect(canStandIn(demo, node(demo, 'welcome-pair'), 'welcome-words')).toBe(false);
    expect(canStandIn(demo, node(demo, 'welcome'), 'fares')).toBe(true);
    expect(canStandIn(demo, node(demo, 'welcome'), 'settings')).toBe(false);
    expect(canStandIn(demo, node(demo, 'head'), 'home')).toBe(false);
    expect(canStandIn(demo, node(demo, 'book'), 'home')).toBe(false);
  });
  it('brings a widget from a page into the header', () => {
    const site = after(demo, done(moveNode(demo, 'book', 'head-row', 1)));
    expect(childrenOf(site, 'head-row')).toEqual(['head-title', 'book', 'head-nav']);
  });
  it('to where it is already needs no edit', () => {
    expect(done(moveNode(demo, 'today', 'welcome-buttons', 1))).toEqual([]);
  });
  it('by keys goes into the group before, and out of it again', () => {
    const inside = after(demo, done(nudge(demo, 'welcome-picture', 'in')));
    expect(childrenOf(inside, 'welcome-words').at(-1)).toBe('welcome-picture');
    const outside = after(inside, done(nudge(inside, 'welcome-picture', 'out')));
    expect(childrenOf(outside, 'welcome-pair')).toEqual(['welcome-words', 'welcome-picture']);
  });
});

describe('duplicating', () => {
  it('copies all that is inside, under new ids, right after', () => {
    const { edits, id } = done(duplicateNode(demo, 'before'));
    const site = after(demo, edits);
    expect(childrenOf(site, 'home')).toEqual(['welcome', 'before', id, 'crossing', 'home-ashore']);
    const row = childrenOf(site, id)[1] ?? '';
    expect(childrenOf(site, row).map(it => site.kinds.widget.get(it)?.content.title)).toEqual([
      'Cars',
      'Dogs',
      'Bikes',
    ]);
    expect(childrenOf(site, row)).not.toContain('feature-cars');
    expect(wearersOf(site, 'ticket')).toHaveLength(wearersOf(demo, 'ticket').length + 1);
  });
});

describe('setting a slot', () => {
  it('of a default that is not there yet makes it, under the id it must have', () => {
    const value = { type: 'number', value: 0.5 } as const;
    const edits = setSlot(demo, { type: 'default', element: 'divider' }, 'line/opacity', value);
    expect(edits).toEqual([
      {
        op: 'put',
        record: {
          id: 'default-divider',
          kind: 'default',
          element: 'divider',
          place: null,
          styles: { 'line/opacity': value },
        },
      },
    ]);
    expect(
      setSlot(after(demo, edits), { type: 'default', element: 'divider' }, 'line/opacity', null),
    ).toEqual([{ op: 'unset', id: 'default-divider', path: ['styles', 'line/opacity'] }]);
    expect(targetId({ type: 'record', id: 'book' })).toBe('book');
  });
  it('that was not set, to nothing, is no edit', () => {
    expect(setSlot(demo, { type: 'record', id: 'book' }, 'box/opacity', null)).toEqual([]);
    expect(setSlot(demo, { type: 'default', element: 'divider' }, 'line/opacity', null)).toEqual([]);
  });
  it('all of a node’s own values go at once, its presets stay', () => {
    const site = after(demo, resetNode(demo, 'feature-dogs'));
    expect(node(site, 'feature-dogs').styles).toEqual({});
    expect(Object.keys(node(site, 'feature-dogs').wears)).toHaveLength(1);
    expect(resetNode(site, 'feature-dogs')).toEqual([]);
  });
});

describe('the specimen', () => {
  it('has a row for every widget, and for each variant of its first axis', () => {
    const rows = specimenRows(demo).map(row => row.id);
    for (const widget of WIDGETS) expect(rows).toContain(widget.name);
    expect(rows).toContain('button.kind-outlined');
    expect(rows).not.toContain('button.size-large');
  });
  it('shows the further axes side by side in a cell', () => {
    const row = specimenRows(demo).find(it => it.id === 'button.kind-outlined');
    expect(row && samplesIn(demo, row)).toEqual([
      { kind: 'kind-outlined' },
      { kind: 'kind-outlined', size: 'size-small' },
      { kind: 'kind-outlined', size: 'size-large' },
    ]);
  });
  it('forces a state on the part that hosts it, and marks no node', () => {
    const row = specimenRows(demo).find(it => it.id === 'button');
    if (!row) throw new Error('no row');
    const cell = renderCell(
      demo,
      row,
      { id: 'c', label: 'c', scheme: 'daymark', width: 'narrow', state: 'hover' },
      row.element.sample,
      () => '',
    );
    const text = JSON.stringify(cell);
    expect(text).toContain('"data-width":"narrow"');
    expect(text.match(/"data-state":"hover"/g)).toHaveLength(3);
    expect(text).not.toContain('data-node');
    expect(cell.attrs.style).toBe('--vw:3.6px');
  });
  it('stands for widths within the ranges they are named after', () => {
    expect(viewportOf(demo)).toEqual({ wide: 1280, medium: 780, narrow: 360 });
  });
});

describe('scopes', () => {
  it('a node stands on its own page alone, a header on every one', () => {
    expect(nodeScope(demo, 'fares', 'book')).toBeNull();
    expect(nodeScope(demo, 'fares', 'head-nav')?.page?.id).toBe('fares');
    expect(nodeScope(demo, 'nowhere', 'book')).toBeNull();
  });
  it('wear the nearest scheme, and know who wears it', () => {
    expect(nodeScope(demo, 'home', 'book')).toMatchObject({ scheme: 'night-run', wearer: 'welcome' });
    expect(nodeScope(demo, 'home', 'feature-cars')).toMatchObject({ scheme: 'daymark', wearer: 'settings' });
  });
  it('of the specimen have no places and no own values', () => {
    const scope = specimenScope(elementNamed('heading'), 'daymark', {});
    const origins = new Set([...contributionsTo(demo, scope, 'text').values()].flat().map(it => it.origin));
    expect([...origins].sort()).toEqual(['default', 'program']);
    expect(
      [...contributionsTo(demo, scope, 'text').values()]
        .flat()
        .some(it => it.record === 'default-heading-area-footer'),
    ).toBe(false);
  });
});
