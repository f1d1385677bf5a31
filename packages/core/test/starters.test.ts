import { describe, expect, it } from '@jest/globals';
import { CHECKS } from '../src/checks/index.ts';
import { addToArea, beginWithVariant, type LaidInArea, type Made, showArea } from '../src/commands/index.ts';
import { planGuide, takeGuide } from '../src/guide/index.ts';
import { schemeFailures } from '../src/measure/index.ts';
import { publishSite, sectionsIn } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  childrenOf,
  type Edit,
  nodesIn,
  type SharedArea,
  type Site,
  stableText,
} from '../src/site/index.ts';
import {
  createPage,
  createSection,
  PAGE_STARTERS,
  PURPOSES,
  READY_GUIDES,
  readyGuide,
  SECTION_STARTERS,
  type SectionStarter,
  sharedAreaOf,
} from '../src/starters/index.ts';
import { ASKING_HEADINGS, sampleWords } from '../src/starters/sections/sampleWords.ts';
import { demoSite } from './support/demo.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;

const sharing = (
  site: Site,
  page: string,
  area: SharedArea,
  starter: SectionStarter,
  how: LaidInArea,
): Made => {
  const made = addToArea(site, page, area, how, (parent, at) =>
    createSection(site, parent, at, starter, area),
  );
  if (!made) throw new Error('nothing laid');
  return made;
};

describe('ready sections', () => {
  it('are at least sixteen, some for each purpose, each with an id of its own', () => {
    expect(SECTION_STARTERS.length).toBeGreaterThanOrEqual(16);
    for (const purpose of PURPOSES) expect(SECTION_STARTERS.some(it => it.purpose === purpose)).toBe(true);
    expect(new Set(SECTION_STARTERS.map(it => it.id)).size).toBe(SECTION_STARTERS.length);
  });
  it.each(SECTION_STARTERS.map(it => [it.id, it] as const))('%s brings no value of its own', (_, starter) => {
    const area = sharedAreaOf(starter.purpose);
    const { edits, id } =
      area === null
        ? createSection(demo, 'home', 1, starter)
        : sharing(demo, 'home', area, starter, 'instead');
    const site = after(demo, edits);
    if (area === null) expect(childrenOf(site, 'home')[1]).toBe(id);
    else expect(sectionsIn(site, 'home', area).map(it => it.id)).toEqual([id]);
    for (const node of [id, ...nodesIn(site, id)]) {
      const record = site.kinds.section.get(node) ?? site.kinds.widget.get(node);
      expect(record?.styles).toEqual({});
      expect(record?.declarations).toBeUndefined();
    }
    // Nothing is left of what only stands for something.
    expect(JSON.stringify(edits)).not.toMatch(/picture-of-the-site|"page":""/);
  });
  it('wear the variants and schemes of the guide they come to, and stand bare where it has none', () => {
    const [opening] = SECTION_STARTERS;
    if (!opening) throw new Error('no starters');
    const { edits, id } = createSection(demo, 'home', 0, opening);
    const site = after(demo, edits);
    const heading = nodesIn(site, id)
      .map(it => site.kinds.widget.get(it))
      .find(it => it?.widget === 'heading');
    expect(heading?.variants).toEqual({ look: 'look-h1' });
    expect(site.kinds.scheme.get(site.kinds.section.get(id)?.scheme ?? '')?.face).toBe('dark');
    const bare = tiny();
    const laid = createSection(bare, 'home', 0, opening);
    const there = after(bare, laid.edits);
    expect(there.kinds.section.get(laid.id)?.variants).toEqual({});
    expect(nodesIn(there, laid.id).length).toBeGreaterThan(4);
  });
  it('show pictures of the site, a further one each time', () => {
    const cards = SECTION_STARTERS.find(it => it.id === 'features-pictures');
    if (!cards) throw new Error('no cards');
    const { edits, id } = createSection(demo, 'home', 0, cards);
    const site = after(demo, edits);
    const shown = nodesIn(site, id).flatMap((it): string[] => {
      const asset = site.kinds.widget.get(it)?.content.asset;
      return typeof asset === 'string' ? [asset] : [];
    });
    expect(new Set(shown).size).toBe(4);
    for (const asset of shown) expect(site.kinds.asset.has(asset)).toBe(true);
  });
});

describe('words of ready sections that ask for others', () => {
  const found = (site: Site) => CHECKS.firstWordsLeft.begin().findings(site);
  it('are told until somebody has replaced them', () => {
    const starter = SECTION_STARTERS.find(it => it.id === 'features-three');
    if (!starter) throw new Error('no such section');
    const { edits, id } = createSection(demo, 'home', 0, starter);
    const site = after(demo, edits);
    expect(found(demo)).toEqual([]);
    // Title and text of each of the three; the heading above them may stay.
    expect(found(site).length).toBe(6);
    const written = nodesIn(site, id).flatMap((node): Edit[] => {
      const content = site.kinds.widget.get(node)?.content ?? {};
      return ['title', 'text'].flatMap(field =>
        field in content && site.kinds.widget.get(node)?.widget === 'feature'
          ? [{ op: 'set', id: node, path: ['content', field], value: 'Open all year' }]
          : [],
      );
    });
    expect(found(after(site, written))).toEqual([]);
  });
  it('stand in every section that asks for any, headings among them', () => {
    const all = JSON.stringify(SECTION_STARTERS);
    for (const words of ASKING_HEADINGS) expect(all).toContain(JSON.stringify(words));
    expect([...sampleWords().values()].reduce((sum, it) => sum + it.size, 0)).toBeGreaterThan(60);
  });
  it('are none that say the name of the site', () => {
    const footer = SECTION_STARTERS.find(it => it.id === 'footer-ends');
    if (!footer) throw new Error('no such section');
    expect(found(after(demo, sharing(demo, 'home', 'footer', footer, 'instead').edits))).toEqual([]);
  });
});

describe('ready headers and footers', () => {
  const plain = SECTION_STARTERS.find(it => it.id === 'header-ends');
  const ruled = SECTION_STARTERS.find(it => it.id === 'header-ruled');
  if (!plain || !ruled) throw new Error('no headers');
  const heads = (site: Site, page = 'home') => sectionsIn(site, page, 'header').map(it => it.name);

  it('stand in place of what was there, or below it, on every page', () => {
    const below = after(demo, sharing(demo, 'home', 'header', plain, 'below').edits);
    expect(heads(below)).toEqual(['Header', plain.label]);
    expect(heads(below, 'fares')).toEqual(heads(below));
    const instead = after(below, sharing(below, 'fares', 'header', ruled, 'instead').edits);
    expect(heads(instead)).toEqual([ruled.label]);
    expect(sectionsIn(instead, 'home', 'footer')).toEqual(sectionsIn(demo, 'home', 'footer'));
    expect(publishSite(instead).files.get('fares/index.html')).toContain('A line that says what you do');
  });
  it('show on a page that had gone without, and leave other pages as they are', () => {
    const without = after(demo, [
      ...showArea(demo, 'home', 'header', false),
      ...showArea(demo, 'fares', 'header', false),
    ]);
    const laid = after(without, sharing(without, 'home', 'header', plain, 'instead').edits);
    expect(heads(laid)).toEqual([plain.label]);
    expect(heads(laid, 'fares')).toEqual([]);
  });
  it('come back byte for byte when they are undone', () => {
    const { edits } = sharing(demo, 'home', 'footer', ruled, 'instead');
    const { site, inverse } = must(applyChange(demo, { edits }));
    expect(stableText(after(site, inverse))).toBe(stableText(demo));
  });
});

it('ready sections take on what new things begin with, under what they ask for themselves', () => {
  const site = after(demo, [
    ...beginWithVariant(demo, 'size-large', true),
    ...beginWithVariant(demo, 'look-lead', true),
  ]);
  const opening = SECTION_STARTERS.find(it => it.id === 'header-action');
  const text = SECTION_STARTERS.find(it => it.id === 'content-text');
  if (!opening || !text) throw new Error('no starters');
  const worn = (starter: typeof text, widget: string) => {
    const { edits, id } = createSection(site, 'home', 0, starter);
    const laid = after(site, edits);
    return nodesIn(laid, id)
      .map(it => laid.kinds.widget.get(it))
      .find(it => it?.widget === widget)?.variants;
  };
  expect(worn(text, 'text')).toEqual({ look: 'look-lead' });
  expect(worn(opening, 'button')).toEqual({ size: 'size-small' });
});

describe('ready pages', () => {
  it('are at least six', () => {
    expect(PAGE_STARTERS.length).toBeGreaterThanOrEqual(6);
  });
  it.each(PAGE_STARTERS.map(it => [it.id, it] as const))('%s is laid whole, with one title', (_, starter) => {
    const { edits, id } = createPage(demo, starter);
    const site = after(demo, edits);
    expect(childrenOf(site, id)).toHaveLength(starter.sections.length);
    const path = site.kinds.page.get(id)?.path;
    const html = publishSite(site).files.get(`${path}/index.html`) ?? '';
    expect(html.match(/<h1/g)).toHaveLength(1);
    // Headings go down a step at a time (WCAG 2.2, technique G141).
    const levels = [...html.matchAll(/<h([1-6])/g)].map(it => Number(it[1]));
    for (const [i, level] of levels.entries())
      expect(level - (levels[i - 1] ?? level)).toBeLessThanOrEqual(1);
    const done = must(applyChange(demo, { edits }));
    expect(after(done.site, done.inverse).kinds.page.size).toBe(demo.kinds.page.size);
  });
  it('wear whichever guide the site takes', () => {
    const [landing] = PAGE_STARTERS;
    const [spec] = READY_GUIDES;
    if (!landing || !spec) throw new Error('no starters');
    const { edits, id } = createPage(demo, landing);
    const site = after(demo, edits);
    const taken = after(site, takeGuide(site, planGuide(site, readyGuide(spec), 'dark')));
    expect(nodesIn(taken, id).length).toBe(nodesIn(site, id).length);
    for (const node of nodesIn(taken, id)) {
      const { variants = {} } = taken.kinds.widget.get(node) ?? taken.kinds.section.get(node) ?? {};
      for (const variant of Object.values(variants)) expect(taken.kinds.variant.has(variant)).toBe(true);
    }
    expect(schemeFailures(taken)).toEqual([]);
  });
});
