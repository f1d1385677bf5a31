import { describe, expect, it } from '@jest/globals';
import { nodeScope } from '../src/cascade/index.ts';
import { AREA_USES, addPage, areaUse, differsInArea, revertArea, setAreaUse } from '../src/commands/index.ts';
import { Paints } from '../src/measure/index.ts';
import { unreadableTexts } from '../src/reach/index.ts';
import { publishSite, sectionsIn } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  editAt,
  type PageRecord,
  SETTINGS,
  SHARED_AREAS,
  type Site,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site =>
  must(applyChange(site, { edits: [...edits] })).site;
const page = (site: Site, id: string): PageRecord => {
  const record = site.kinds.page.get(id);
  if (!record) throw new Error(`no ${id}`);
  return record;
};
const html = (site: Site, path: string): string => publishSite(site).files.get(path) ?? '';
const header = (text: string): string => /<header.*?<\/header>/s.exec(text)?.[0] ?? '';
const withKind = (site: Site, kind: Pick<PageRecord, 'headerScrolls' | 'headerColors'>, id = 'fares'): Site =>
  after(
    site,
    Object.entries(kind).map(([field, value]) => ({ op: 'set' as const, id, path: [field], value })),
  );

describe('what a page has in an area', () => {
  it('of its own begins as a copy of what pages share, which stays as it is, and goes again in one step', () => {
    for (const area of ['header', 'footer'] as const) {
      const own = after(demo, setAreaUse(demo, 'fares', area, 'own'));
      expect(areaUse(own, page(own, 'fares'), area)).toBe('own');
      expect(differsInArea(own, page(own, 'fares'), area)).toBe(true);
      const [mine] = sectionsIn(own, 'fares', area);
      const [shared] = sectionsIn(own, 'sailings', area);
      expect(mine).toMatchObject({ at: { parent: 'fares' }, name: shared?.name });
      expect(mine?.id).not.toBe(shared?.id);
      expect(html(own, 'sailings/index.html')).toBe(html(demo, 'sailings/index.html'));
      // Ids apart, a visitor sees the same.
      const without = (text: string) => text.replace(/ id="w-[^"]*"| popovertarget="[^"]*"/g, '');
      expect(without(header(html(own, 'fares/index.html')))).toBe(
        without(header(html(demo, 'fares/index.html'))),
      );
      const back = after(own, revertArea(own, 'fares', area));
      expect(html(back, 'fares/index.html')).toBe(html(demo, 'fares/index.html'));
      expect([...back.kinds.section.keys()].sort()).toEqual([...demo.kinds.section.keys()].sort());
    }
  });
  it('can be any of three, whatever it was before, and be as on all pages again', () => {
    for (const area of SHARED_AREAS)
      for (const first of AREA_USES)
        for (const then of AREA_USES) {
          let site = after(demo, setAreaUse(demo, 'fares', area, first));
          site = after(site, setAreaUse(site, 'fares', area, then));
          expect(areaUse(site, page(site, 'fares'), area)).toBe(then);
          site = after(site, revertArea(site, 'fares', area));
          expect(differsInArea(site, page(site, 'fares'), area)).toBe(false);
          expect(page(site, 'fares')).toEqual(page(demo, 'fares'));
        }
  });
  it('is on that page and on no other', () => {
    const own = after(demo, setAreaUse(demo, 'fares', 'header', 'own'));
    const [mine] = sectionsIn(own, 'fares', 'header');
    expect(nodeScope(own, 'fares', mine?.id ?? '')?.area).toBe('header');
    expect(nodeScope(own, 'sailings', mine?.id ?? '')).toBeNull();
  });
});

describe('the kind of header', () => {
  it('is the site’s, and another where a page says so', () => {
    expect(header(html(demo, 'fares/index.html'))).toContain('<header data-scrolls="returns">');
    const still = withKind(demo, { headerScrolls: 'withPage' });
    expect(header(html(still, 'fares/index.html'))).toMatch(/^<header>/);
    expect(html(still, 'sailings/index.html')).toBe(html(demo, 'sailings/index.html'));
  });
  it('over the first section is coloured as that is, and lets it show through', () => {
    const over = withKind(demo, { headerColors: 'firstSection' }, 'home');
    const text = html(over, 'index.html');
    expect(header(text)).toMatch(/class="header-box header-over-box[^"]*s-night-run/);
    const scope = nodeScope(over, 'home', 'head');
    expect(scope).toMatchObject({ scheme: 'night-run', over: { id: 'welcome' } });
    expect(text).toMatch(/\.header-over-box\)\{background-color:[^}]*0\)?\}/);
    // What the guide says of headers does not hide the section; what is set on this very header does.
    const own = after(over, [
      editAt<'section'>('head').setIn('styles', 'box/backgroundColor', { type: 'role', role: 'raised' }),
    ]);
    const word = nodeScope(over, 'home', 'head-title');
    if (!word) throw new Error('no title');
    const there = new Paints(over, 'wide').textOf(word, 'link');
    expect(there?.filledBy?.scope.node?.id).toBe('welcome');
    const covered = new Paints(own, 'wide').textOf(nodeScope(own, 'home', 'head-title') ?? word, 'link');
    expect(covered?.filledBy?.scope.node?.id).toBe('head');
  });
  it('over the first section is measured on that: a ground on which nothing can be read is told', () => {
    const over = withKind(demo, { headerColors: 'firstSection' }, 'home');
    const unreadable = (site: Site) =>
      unreadableTexts(site).filter(it => it.page === 'home' && it.node.startsWith('head'));
    expect(unreadable(over)).toEqual([]);
    const pale = after(over, [
      editAt<'section'>('welcome').setIn('styles', 'box/backgroundColor', { type: 'token', token: 'mist' }),
    ]);
    expect(unreadable(pale)).not.toEqual([]);
  });
});

describe('a navigation', () => {
  it('marks the current page and those above it, and names every button by its page', () => {
    const text = header(html(demo, 'islands/hesk/index.html'));
    expect(text).toMatch(/aria-current="page"[^>]*>(?:<svg.*?<\/svg>)?<span[^>]*>Hesk</);
    expect(text).toMatch(/aria-current="true"[^>]*>(?:<svg.*?<\/svg>)?<span[^>]*>Islands</);
    expect(text).toContain('aria-label="More in Islands"');
  });
  it('has ids of which none comes twice, with 200 pages in it, and buttons for those that are there', () => {
    let site = demo;
    for (let i = 0; i < 200; i++)
      site = after(site, addPage(site, `Landing ${i + 1}`, i % 2 ? 'islands' : SETTINGS).edits);
    const text = html(site, 'index.html');
    const ids = [...text.matchAll(/ id="([^"]+)"/g)].map(it => it[1]);
    expect(new Set(ids).size).toBe(ids.length);
    for (const [, target] of text.matchAll(/popovertarget="([^"]+)"/g)) expect(ids).toContain(target);
    expect(header(text).match(/>Landing \d+</g)).toHaveLength(200);
  });
  it('asks for a script only where something of it opens', () => {
    const asks = (site: Site) => html(site, 'index.html').includes('behaviours/navigation-');
    expect(asks(demo)).toBe(true);
    const plain = after(demo, [editAt<'widget'>('head-nav').set('variants', {})]);
    expect(asks(plain)).toBe(false);
    const fixed = after(plain, [editAt<'settings'>(SETTINGS).unset('headerScrolls')]);
    expect(html(fixed, 'sailings/index.html')).not.toContain('behaviours/header-');
  });
});
