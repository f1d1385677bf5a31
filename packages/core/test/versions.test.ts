import { describe, expect, it } from '@jest/globals';
import { keepShown, moveNode, setAside, showArea, showVersion } from '../src/commands/index.ts';
import { standingsOf } from '../src/reach/standing.ts';
import { publishSite, sectionsIn } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  childrenOf,
  type Edit,
  type Id,
  nodesUnder,
  type Site,
  stableText,
  versionsOf,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const html = (site: Site, path = 'index.html'): string => publishSite(site).files.get(path) ?? '';
const body = (site: Site): string => /<body[\s\S]*/.exec(html(site))?.[0] ?? '';
const [first = '', second = ''] = sectionsIn(demo, 'home', 'main').map(it => it.id);
const aside = (site: Site, name = 'Quiet'): [Site, Id] => {
  const made = must(setAside(site, second, name));
  return [after(site, made.edits), made.id];
};

describe('a version set aside', () => {
  const [kept, version] = aside(demo);
  const titled = (site: Site, of: Id, text: string): Site => {
    const heading = nodesUnder(site, of).find(id => site.kinds.widget.get(id)?.widget === 'heading') ?? '';
    return after(site, [{ op: 'set', id: heading, path: ['content', 'text'], value: text }]);
  };

  it('holds all that the section holds, and is never published', () => {
    expect(versionsOf(kept, second).map(it => it.name)).toEqual(['Quiet']);
    expect(nodesUnder(kept, version)).toHaveLength(nodesUnder(demo, second).length);
    expect(nodesUnder(kept, second)).toEqual(nodesUnder(demo, second));
    const changed = titled(kept, version, 'Only in the version');
    expect(publishSite(changed)).toEqual(publishSite(demo));
    expect(standingsOf(kept)).toHaveLength(standingsOf(demo).length);
  });
  it('takes the place of the one that shows, with other versions and the links that led there', () => {
    const [two] = aside(titled(kept, version, 'Only in the version'), 'Loud');
    const linked = after(two, [
      {
        op: 'set',
        id: 'book',
        path: ['content', 'link'],
        value: { type: 'section', page: 'home', section: second },
      },
    ]);
    const shown = after(linked, must(showVersion(linked, version)));
    expect(
      sectionsIn(shown, 'home', 'main')
        .map(it => it.id)
        .indexOf(version),
    ).toBe(1);
    expect(versionsOf(shown, version).map(it => it.id)).toContain(second);
    expect(versionsOf(shown, version)).toHaveLength(2);
    expect(html(shown)).toContain('Only in the version');
    expect(html(shown)).toContain(`href="#s-${version}"`);
    const back = after(shown, must(showVersion(shown, second)));
    expect(html(back)).toBe(html(linked));
  });
  it('comes back byte for byte when it is undone', () => {
    const { site, inverse } = must(applyChange(kept, { edits: must(showVersion(kept, version)) }));
    expect(stableText(after(site, inverse))).toBe(stableText(kept));
  });
  it('goes with its section, and alone where only what shows is kept', () => {
    const gone = after(kept, [{ op: 'remove', id: second }]);
    expect(gone.kinds.section.has(version)).toBe(false);
    expect(childrenOf(after(kept, keepShown(kept, second)), second)).toEqual(childrenOf(demo, second));
  });
  it.each([
    [
      'holds no versions of its own',
      () => [{ op: 'set', id: first, path: ['at'], value: { parent: version, order: 'V' } }],
    ],
    [
      'cannot become a version while it has some',
      () => [{ op: 'set', id: second, path: ['at'], value: { parent: first, order: 'V' } }],
    ],
    [
      'stands in a section of its area',
      () => [
        {
          op: 'set',
          id: version,
          path: ['at'],
          value: { parent: sectionsIn(kept, 'home', 'footer')[0]?.id, order: 'V' },
        },
      ],
    ],
  ] as [string, () => Edit[]][])('%s', (_, edits) => {
    expect(applyChange(kept, { edits: edits() })).toMatchObject({
      ok: false,
      problem: { code: 'bad-parent' },
    });
  });
  it('does not count among the widgets of its section when one is moved', () => {
    const [one = '', two = ''] = nodesUnder(kept, second);
    const moved = after(kept, must(moveNode(kept, one, second, 1)));
    expect(nodesUnder(moved, second).slice(0, 2)).toEqual([two, one]);
  });
});

describe('areas that pages share', () => {
  it('are header and footer unless the page says otherwise; a sidebar is made where there is none', () => {
    expect(html(demo)).not.toContain('<aside');
    const beside = after(demo, showArea(demo, 'fares', 'sidebar', true));
    const [section] = sectionsIn(beside, 'fares', 'sidebar');
    expect(section).toMatchObject({ area: 'sidebar', at: { parent: 'settings' } });
    expect(html(beside, 'fares/index.html')).toMatch(
      /page-middle"><div class="page-content"><main id="main">[\s\S]*<aside>/,
    );
    // The guide’s sheet says more now, so its name is another; the page is the same.
    expect(body(beside)).toBe(body(demo));
    // A second page shows the same one.
    const both = after(beside, showArea(beside, 'sailings', 'sidebar', true));
    expect(sectionsIn(both, 'sailings', 'sidebar')).toEqual(sectionsIn(both, 'fares', 'sidebar'));
  });
  it('can be left out on one page and come back', () => {
    const bare = after(demo, showArea(demo, 'fares', 'header', false));
    expect(html(bare, 'fares/index.html')).not.toContain('<header');
    expect(html(bare)).toBe(html(demo));
    const again = after(bare, showArea(bare, 'fares', 'header', true));
    expect(again.kinds.page.get('fares')).toEqual(demo.kinds.page.get('fares'));
  });
});
