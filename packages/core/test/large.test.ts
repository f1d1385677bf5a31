import { describe, expect, it } from '@jest/globals';
import {
  allRecords,
  applyChange,
  type Edit,
  must,
  publishSite,
  renderPage,
  type Site,
  siteOf,
} from '../src/index.ts';
import { tolvaneLarge } from '../src/starters/index.ts';

const site = tolvaneLarge(() => 'abcdef0123456789.webp');
const after = (...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
/** The same site, of which nothing was rendered before. */
const anew = (it: Site): Site => siteOf(structuredClone([...allRecords(it)]));

describe('the large demo', () => {
  it('has 100 pages, about 1,000 sections and 5,000 widgets, with presets, rebindings and values of their own', () => {
    const { page, section, widget } = site.kinds;
    expect(page.size).toBe(100);
    expect(section.size).toBe(1002);
    expect(widget.size).toBeGreaterThan(5000);
    expect(widget.size).toBeLessThan(5300);
    const widgets = [...widget.values()];
    expect(widgets.filter(it => Object.keys(it.wears).length > 0).length).toBeGreaterThan(900);
    expect(widgets.filter(it => Object.keys(it.styles).length > 0).length).toBeGreaterThan(700);
    const rebinding = [...page.values(), ...section.values()].filter(it => Object.keys(it.rebind).length > 0);
    expect(rebinding.length).toBeGreaterThan(60);
  });

  it('publishes every page', () => {
    const { files } = publishSite(site);
    expect([...files.keys()].filter(it => it.endsWith('index.html'))).toHaveLength(100);
  });
});

describe('rendering again', () => {
  const [first = '', second = ''] = site.kinds.page.keys();
  const renders = (next: Site) =>
    [...next.kinds.page.keys()].filter(id => {
      const [before, now] = [site.kinds.page.get(id), next.kinds.page.get(id)];
      return !before || !now || renderPage(site, before) !== renderPage(next, now);
    });

  it.each<[string, Edit[], (changed: string[]) => boolean]>([
    [
      'one widget’s style touches its page alone',
      [
        {
          op: 'set',
          id: `${second}-w3`,
          path: ['styles', 'box/opacity'],
          value: { type: 'number', value: 0.5 },
        },
      ],
      changed => changed.join() === second,
    ],
    [
      'a widget removed touches its page alone',
      [{ op: 'remove', id: `${first}-w1` }],
      changed => changed.join() === first,
    ],
    [
      'the footer touches every page',
      [{ op: 'set', id: 'foot', path: ['scheme'], value: 'daymark' }],
      changed => changed.length === 100,
    ],
    [
      'a preset touches every page',
      [{ op: 'set', id: 'ticket', path: ['styles'], value: {} }],
      changed => changed.length === 100,
    ],
    [
      'a page’s address touches every page, since any may link to it',
      [{ op: 'set', id: second, path: ['path'], value: 'elsewhere' }],
      changed => changed.length === 100,
    ],
    [
      'a link into a section touches the page it leads from and the one it leads to',
      [
        {
          op: 'set',
          id:
            [...site.kinds.widget.values()].find(
              it => it.widget === 'button' && it.id.startsWith(`${first}-`),
            )?.id ?? '',
          path: ['content', 'link'],
          value: { type: 'section', page: second, section: `${second}-s2` },
        },
      ],
      changed => changed.join() === `${first},${second}`,
    ],
  ])('%s, and comes to the same as from nothing', (_, edits, fits) => {
    publishSite(site);
    const next = after(...edits);
    const again = publishSite(next);
    const fresh = publishSite(anew(next));
    expect([...again.files]).toEqual([...fresh.files]);
    expect(again.fonts).toEqual(fresh.fonts);
    expect(fits(renders(next))).toBe(true);
  });
});
