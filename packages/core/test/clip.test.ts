import { describe, expect, it } from '@jest/globals';
import { copyThings, pasteThings, readClip } from '../src/commands/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  childrenOf,
  type Edit,
  nodesIn,
  nodesUnder,
  SETTINGS,
  type Site,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const widget = (site: Site, id: string) => {
  const found = site.kinds.widget.get(id);
  if (!found) throw new Error(id);
  return found;
};
/** Over the clipboard, as text. */
const carried = (ids: readonly string[], from = demo) => {
  const clip = readClip(JSON.stringify(copyThings(from, ids)));
  if (!clip) throw new Error('no clip');
  return clip;
};

describe('what is copied', () => {
  it('takes along all it holds, and nothing twice', () => {
    expect(copyThings(demo, ['before']).things[0]).toHaveLength(nodesIn(demo, 'before').length + 1);
    expect(copyThings(demo, ['before', 'feature-dogs']).things).toHaveLength(1);
  });
  it('is pasted into its own site as a copy that is its equal', () => {
    const { edits, ids, left } = must(pasteThings(demo, carried(['feature-dogs']), 'before-row', 0));
    expect(left).toEqual([]);
    const site = after(demo, edits);
    expect(nodesUnder(site, 'before-row')[0]).toBe(ids[0]);
    const copy = widget(site, ids[0] ?? '');
    const { styles, variants, content, wears } = widget(demo, 'feature-dogs');
    expect(copy).toMatchObject({ styles, variants, content });
    expect(Object.values(copy.wears)).toEqual(Object.values(wears));
  });
  it('comes in order where it is several, before what stands there', () => {
    const clip = carried(['feature-bikes', 'feature-cars', 'feature-dogs']);
    const { edits, ids } = must(pasteThings(demo, clip, 'before-row', 1));
    expect(nodesUnder(after(demo, edits), 'before-row')).toEqual([
      'feature-cars',
      ...ids,
      'feature-dogs',
      'feature-bikes',
    ]);
  });
  it('stands only where it can', () => {
    expect(pasteThings(demo, carried(['before']), 'before-row', 0).ok).toBe(false);
    expect(pasteThings(demo, carried(['feature-dogs']), 'home', 0).ok).toBe(false);
    expect(pasteThings(demo, carried(['before']), 'fares', 0).ok).toBe(true);
  });
});

describe('a footer', () => {
  const snug = after(demo, [
    { op: 'set', id: 'foot', path: ['variants', 'padding'], value: 'footer-roomy' },
    { op: 'set', id: 'foot', path: ['styles', 'box/opacity'], value: { type: 'number', value: 0.9 } },
  ]);
  const clip = carried(['foot'], snug);
  const section = (site: Site, id: string) => {
    const found = site.kinds.section.get(id);
    if (!found) throw new Error(id);
    return found;
  };
  it('becomes a section of a page, in the variants of sections that go by the same names', () => {
    const { edits, ids } = must(pasteThings(snug, clip, 'fares', 0));
    expect(section(after(snug, edits), ids[0] ?? '')).toMatchObject({
      area: 'main',
      variants: { padding: 'section-roomy' },
      scheme: 'night-run',
    });
  });
  it('becomes another footer, or a header, where it is asked for there, with all it holds', () => {
    for (const [area, padding] of [
      ['footer', 'footer-roomy'],
      ['header', 'header-roomy'],
    ] as const) {
      const { edits, ids } = must(pasteThings(snug, clip, SETTINGS, 1, 'tie', area));
      const site = after(snug, edits);
      const copy = section(site, ids[0] ?? '');
      expect(copy).toMatchObject({ area, variants: { padding }, styles: { 'box/opacity': { value: 0.9 } } });
      expect(copy.at.parent).toBe(SETTINGS);
      expect(nodesIn(site, copy.id)).toHaveLength(nodesIn(snug, 'foot').length);
    }
  });
  it('never stands below the settings as a section of a page, nor a widget there at all', () => {
    expect(pasteThings(snug, clip, SETTINGS, 0).ok).toBe(false);
    expect(pasteThings(snug, clip, 'fares', 0, 'tie', 'footer').ok).toBe(false);
    expect(pasteThings(demo, carried(['feature-dogs']), SETTINGS, 0, 'tie', 'footer').ok).toBe(false);
  });
});

describe('what is pasted into another site', () => {
  const other = tiny(b => {
    b.token('color', 'pale', 'Neutral', 'Pale', '#c8d4e2');
    b.variant('card', 'feature', 'look', 'Card', {});
  });
  const clip = carried(['feature-dogs']);
  it('takes what goes by the same name there, ties values to the nearest token, and tells what is missing', () => {
    const { edits, ids, left } = must(pasteThings(other, clip, 'one', 0));
    const copy = widget(after(other, edits), ids[0] ?? '');
    expect(copy.variants).toEqual({ look: 'card' });
    // Mist, #c9d5e3, is nearest to Pale (CIEDE2000).
    expect(copy.styles['box/backgroundColor']).toEqual({ type: 'token', token: 'pale' });
    expect(copy.wears).toEqual({});
    expect(left).toEqual(['preset Ticket']);
    // Its link leads to a page that is not there.
    expect(copy.content.link).toEqual({ type: 'page', page: 'home' });
  });
  it('keeps values as they were where that is asked for', () => {
    const { edits, ids } = must(pasteThings(other, clip, 'one', 0, 'keep'));
    expect(widget(after(other, edits), ids[0] ?? '').styles['box/backgroundColor']).toMatchObject({
      type: 'color',
      value: { space: 'srgb' },
    });
  });
  it('loses its scheme and pictures where there are none', () => {
    const { edits, ids, left } = must(pasteThings(other, carried(['welcome']), 'home', 0));
    const site = after(other, edits);
    expect(site.kinds.section.get(ids[0] ?? '')?.scheme).toBeNull();
    expect(left.join()).toMatch(/scheme Night run/);
    expect(left.join()).toMatch(/picture/);
    expect(childrenOf(site, 'home')[0]).toBe(ids[0]);
  });
});

describe('the clipboard', () => {
  it.each([
    ['words', 'The early boat'],
    ['other JSON', '{"a":1}'],
    ['another format', JSON.stringify({ ...copyThings(demo, ['book']), format: 'cove-thread/9' })],
    [
      'things that are none',
      JSON.stringify({ ...copyThings(demo, ['book']), things: [[{ id: 'x', kind: 'page' }]] }),
    ],
    ['a page', JSON.stringify({ ...copyThings(demo, ['book']), things: [[demo.kinds.page.get('home')]] })],
  ])('is left alone where it holds %s', (_, text) => {
    expect(readClip(text)).toBeNull();
  });
  it('brings nothing that could not be set by hand', () => {
    const clip = copyThings(demo, ['feature-dogs']);
    const hostile = JSON.stringify(clip).replace('"box/backgroundColor"', '"box/backgroundColor;}body{x"');
    expect(readClip(hostile)).toBeNull();
  });
});

describe('random pastes', () => {
  it.each([1, 2, 3, 4])('keep every invariant and are undone, seed %i', seed => {
    const random = seeded(seed);
    const bare = tiny();
    let now = demo;
    let there = bare;
    for (let i = 0; i < 80; i++) {
      const ids = [...now.kinds.widget.keys(), ...now.kinds.section.keys()].filter(
        id => now.kinds.section.get(id)?.area !== 'header' && now.kinds.section.get(id)?.area !== 'footer',
      );
      const clip = carried([random.pick(ids), random.pick(ids)], now);
      const at = random.pick([...ids, 'home', 'fares']);
      const pasted = pasteThings(now, clip, at, random.int(4));
      if (pasted.ok) now = after(now, pasted.value.edits);
      const abroad = pasteThings(
        there,
        clip,
        random.pick(['one', 'home']),
        random.int(3),
        random.pick(['tie', 'keep']),
      );
      if (abroad.ok) there = after(there, abroad.value.edits);
    }
    expect(now.kinds.widget.size).toBeGreaterThan(demo.kinds.widget.size);
    expect(there.kinds.widget.size).toBeGreaterThan(bare.kinds.widget.size);
  });
});
