import { gzipSync } from 'node:zlib';
import { describe, expect, it } from '@jest/globals';
import { convertWidget } from '../src/commands/index.ts';
import { richText } from '../src/content/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, nodesUnder, type Site } from '../src/site/index.ts';
import type { SiteBuilder } from '../src/starters/build.ts';
import { CONVERSIONS, ELEMENTS } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss, withoutCss } from './support/published.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const page = (site: Site): string => withoutCss(publishSite(site).files.get('index.html') ?? '');
const styles = publishedCss;
const scripts = (site: Site): string[] =>
  [...publishSite(site).files.keys()].filter(it => it.startsWith('behaviours/'));

const asset = (b: SiteBuilder, id: string) =>
  b.asset({
    id,
    name: id,
    alt: `What ${id} shows`,
    file: 'abcdef0123456789.webp',
    mime: 'image/webp',
    width: 1200,
    height: 800,
  });
/** A holder with items that each say all that theirs can say. */
const ITEMS = {
  gallery: { item: 'galleryPicture', part: 'frame', says: ['caption'], own: { before: 'anchor' } },
  slides: { item: 'slide', part: 'frame', says: ['title', 'caption'], own: { before: 'anchor' } },
  cards: { item: 'card', part: 'box', says: ['title', 'text'], own: {} },
} as const;
const pictured = (holder: keyof typeof ITEMS, count: number, more: object = {}): Site =>
  tiny(b => {
    const { item, part, says, own } = ITEMS[holder];
    asset(b, 'quay');
    b.widget('all', 'one', holder, own, { styles: { [`${part}/opacity`]: 0.5 } });
    for (let i = 0; i < count; i++)
      b.widget(`n${i}`, 'all', item, {
        asset: 'quay',
        alt: `Picture ${i}`,
        ...Object.fromEntries(says.map(field => [field, `${field} ${i}`])),
        ...more,
      });
  });

describe('the same pictures', () => {
  const kinds = [
    ['gallery', 'slides'],
    ['slides', 'gallery'],
    ['cards', 'slides'],
    ['cards', 'gallery'],
    ['slides', 'cards'],
    ['gallery', 'cards'],
  ] as const;
  it.each(kinds)('as %s become %s, and the very same records on the way back', (from, to) => {
    const site = pictured(from, 4);
    const there = after(site, must(convertWidget(site, 'all', to)).edits);
    expect(there.kinds.widget.get('all')?.widget).toBe(to);
    expect(there.kinds.widget.get('n2')?.content).toMatchObject({ asset: 'quay', alt: 'Picture 2' });
    expect(page(there)).toContain('Picture 3');
    const back = after(there, must(convertWidget(there, 'all', from)).edits);
    for (const id of ['all', 'n0', 'n1', 'n2', 'n3'] satisfies Id[])
      expect(back.kinds.widget.get(id)).toEqual(site.kinds.widget.get(id));
    expect(nodesUnder(back, 'all')).toEqual(nodesUnder(site, 'all'));
  });
  it('have a way to each kind that shows pictures, and back', () => {
    for (const { from, to } of CONVERSIONS)
      expect(CONVERSIONS.some(it => it.from === to && it.to === from)).toBe(true);
  });
  it.each(['gallery', 'slides', 'cards'] as const)('are a hundred in %s, each shown once', holder => {
    const html = page(pictured(holder, 100));
    expect(html.match(/<li[ >]/g)).toHaveLength(100);
    expect(html.match(/<img[^>]*alt="Picture \d+"/g)).toHaveLength(100);
    const ids = [...html.matchAll(/ id="([^"]*)"/g)].map(it => it[1]);
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('say nothing where nothing was said, and are shown as what they are where something hostile was', () => {
    const bare = page(pictured('slides', 2, { title: '', caption: '', asset: null }));
    expect(bare).not.toMatch(/slide-(title|caption|words)/);
    const hostile = page(pictured('gallery', 1, { caption: '"><script>alert(1)</script>' }));
    expect(hostile).not.toContain('<script>alert');
    expect(hostile).toContain('&lt;script&gt;alert(1)');
  });
});

describe('the first picture of a page', () => {
  it('is asked for at once, and all others wait', () => {
    const html = page(pictured('gallery', 3));
    const all = [...html.matchAll(/<img[^>]*alt="Picture[^>]*>/g)].map(it => it[0]);
    expect(all.map(it => it.includes('loading="lazy"'))).toEqual([false, true, true]);
    expect(all.map(it => it.includes('fetchpriority="high"'))).toEqual([true, false, false]);
  });
});

describe('how many share a view', () => {
  it('counts with the gap between them, whoever sets it: the slides, or a preset that they wear', () => {
    const site = tiny(b => {
      b.preset('airy', 'Airy', { 'box/columnGap': '2rem' });
      b.widget('all', 'one', 'slides', {}, { styles: { 'row/inView': 3 }, wears: ['airy'] });
      b.widget('first', 'all', 'slide', { title: 'First' });
      b.widget('beside', 'one', 'group', {}, { wears: ['airy'] });
    });
    const css = styles(site);
    expect(css).toContain('grid-auto-columns:calc((100% + var(--column-gap)) / 3 - var(--column-gap))');
    const carried = [...css.matchAll(/([^{}]*)\{[^{}]*--column-gap:([^;}]*)/g)].map(it => [it[1], it[2]]);
    expect(carried).toContainEqual([expect.stringContaining('.slides-row'), '1rem']);
    expect(carried).toContainEqual([expect.stringMatching(/\.p-airy-0-box\.slides-row/), '2rem']);
    // Nothing else carries it.
    for (const [selector] of carried) expect(selector).toContain('slides-row');
  });
});

describe('a script', () => {
  it('comes with a large view, and not with a gallery that has none', () => {
    const site = pictured('gallery', 1);
    expect(scripts(site)).toHaveLength(1);
    const without = after(site, [{ op: 'set', id: 'all', path: ['content', 'large'], value: 'no' }]);
    expect(scripts(without)).toEqual([]);
    expect(page(without)).not.toContain('<dialog');
  });
  it('comes with a notice that can be dismissed, and not with one that stays', () => {
    const saying = (stays: string) =>
      tiny(b => void b.widget('news', 'one', 'notice', { stays, word: 'News', text: richText('Fog.') }));
    expect(scripts(saying('can dismiss it'))).toHaveLength(1);
    expect(scripts(saying('always see it'))).toEqual([]);
    expect(styles(saying('always see it'))).not.toContain('notice-close');
  });
});

describe('all that widgets do beyond their markup', () => {
  it('comes to a few kilobytes on a page that has them all', () => {
    const bytes = ELEMENTS.map(it => (it.behaviour ? gzipSync(it.behaviour).length : 0));
    expect(bytes.filter(it => it > 0).length).toBeGreaterThan(4);
    expect(bytes.reduce((sum, it) => sum + it, 0)).toBeLessThan(12 * 1024);
  });
});

describe('a help panel', () => {
  it('is a popover with its own name, closed, in the corner of the window', () => {
    const html = page(
      tiny(b => {
        b.widget('asked', 'one', 'help', { label: '', title: '', further: '', wayLabel: '' });
        b.widget('dog', 'asked', 'helpEntry', {
          question: 'May <the> dog come?',
          answer: richText('Always.'),
        });
      }),
    );
    expect(html).toMatch(/<button[^>]*popovertarget="w-asked-panel"[^>]*aria-label="Help"/);
    expect(html).toMatch(/<div[^>]*id="w-asked-panel"[^>]*popover="auto"[^>]*aria-label="Help"/);
    expect(html).toContain('May &lt;the&gt; dog come?');
    expect(html).not.toMatch(/help-(title|word|further)/);
  });
  it('leaves the fonts of its page as they are', () => {
    const fontsOf = (site: Site) => styles(site).match(/@font-face[^}]*}/g);
    const demo = demoSite();
    expect(fontsOf(demo)?.length).toBeGreaterThan(2);
    const without = after(demo, [{ op: 'remove', id: 'help' }]);
    expect(fontsOf(demo)).toEqual(fontsOf(without));
  });
});
