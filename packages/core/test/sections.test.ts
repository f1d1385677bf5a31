import { describe, expect, it } from '@jest/globals';
import { joinSections, splitSection } from '../src/commands/index.ts';
import { publishSite, sectionsIn as shown } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, nodesUnder, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { withoutCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const onHome = (site: Site) => shown(site, 'home', 'main').map(it => it.id);

describe('a section', () => {
  it('is split before a widget: the part below looks like it, and holds what followed', () => {
    const { edits, id } = must(splitSection(demo, 'crossing-text'));
    const site = after(demo, edits);
    expect(nodesUnder(site, 'crossing')).toEqual(['crossing-title']);
    expect(nodesUnder(site, id)).toEqual(['crossing-text', 'crossing-line', 'crossing-small']);
    expect(site.kinds.section.get(id)).toMatchObject({ scheme: 'heather-moor', name: 'The crossing' });
    expect(onHome(site)).toEqual(['welcome', 'before', 'crossing', id, 'home-ashore']);
    expect(withoutCss(publishSite(site).files.get('index.html') ?? '').match(/s-heather-moor/g)).toHaveLength(
      2,
    );
  });
  it('is not split where nothing would stay, or before what stands deeper', () => {
    expect(splitSection(demo, 'crossing-title').ok).toBe(false);
    expect(splitSection(demo, 'welcome-title').ok).toBe(false);
    expect(splitSection(demo, 'crossing').ok).toBe(false);
  });
  it('is made one again with the one below it, and is as it was', () => {
    const split = must(splitSection(demo, 'crossing-text'));
    const two = after(demo, split.edits);
    const one = after(two, must(joinSections(two, [split.id, 'crossing'])).edits);
    expect(onHome(one)).toEqual(onHome(demo));
    expect(nodesUnder(one, 'crossing')).toEqual(nodesUnder(demo, 'crossing'));
    expect(one.kinds.section.get('crossing')).toEqual(demo.kinds.section.get('crossing'));
  });
  it('is joined with neighbours alone, of its own area', () => {
    expect(joinSections(demo, ['welcome', 'crossing']).ok).toBe(false);
    expect(joinSections(demo, ['welcome']).ok).toBe(false);
    expect(joinSections(demo, ['welcome', 'welcome-title']).ok).toBe(false);
    expect(joinSections(demo, ['head', 'foot']).ok).toBe(false);
  });
});
