import { describe, expect, it } from '@jest/globals';
import { publishSite, renderPage } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  allRecords,
  applyChange,
  type Edit,
  getRecord,
  type Id,
  type Site,
  siteOf,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { howMuch, type Random, seeded, seedsFrom } from './support/random.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const set = (id: Id, path: readonly [string] | readonly [string, string], value: unknown): Edit => ({
  op: 'set',
  id,
  path,
  value,
});

/** The demo with pages below pages, each of which links to others. */
const wide = (count: number): Site => {
  const [page, section, book] = [
    demo.kinds.page.get('fares'),
    demo.kinds.section.get('before'),
    demo.kinds.widget.get('book'),
  ];
  if (!page || !section || !book) throw new Error('not there');
  return after(
    demo,
    Array.from({ length: count }, (_, i): Edit[] => [
      {
        op: 'put',
        record: {
          ...page,
          id: `g${i}`,
          path: `g-${i}`,
          title: `Page ${i}`,
          at: { parent: i < 3 ? 'settings' : `g${i % 3}`, order: `z${i + 1}z` },
        },
      },
      { op: 'put', record: { ...section, id: `s${i}`, at: { parent: `g${i}`, order: 'V' } } },
      {
        op: 'put',
        record: {
          ...book,
          id: `b${i}`,
          at: { parent: `s${i}`, order: 'V' },
          content: { label: 'Go', link: { type: 'page', page: `g${(i * 7) % count}` } },
        },
      },
    ]).flat(),
  );
};
/** A site of the same records that knows nothing of what was made before. */
const forgetful = (site: Site): Site => siteOf(structuredClone([...allRecords(site)]));
const files = (site: Site) => [...publishSite(site).files].sort(([a], [b]) => (a < b ? -1 : 1));

const ACTS: readonly ((site: Site, random: Random, id: Id) => Edit[])[] = [
  (_, random, id) => [set(id, ['title'], `Title ${random.int(1000)}`)],
  (_, random, id) => [set(id, ['path'], `path-${random.int(100_000)}`)],
  (site, _, id) =>
    site.kinds.page.get(id)?.off ? [{ op: 'unset', id, path: ['off'] }] : [set(id, ['off'], true)],
  (site, _, id) =>
    site.kinds.page.get(id)?.unlisted
      ? [{ op: 'unset', id, path: ['unlisted'] }]
      : [set(id, ['unlisted'], true)],
  (_, random, id) => [set(id, ['at'], { parent: 'settings', order: `y${random.int(100) + 1}z` })],
  (_, random, id) => [
    set(`b${id.slice(1)}`, ['content', 'link'], { type: 'page', page: `g${random.int(12)}` }),
  ],
  (_, random) => [set('settings', ['name'], `Name ${random.int(100)}`)],
  (_, random) => [
    set('rope', ['value'], {
      type: 'color',
      value: { space: 'oklch', coords: [random.next(), 0.1, 20], alpha: 1 },
    }),
  ],
];

describe('publishing after an edit', () => {
  it.each(seedsFrom(300, howMuch(4, 60)))('comes to the bytes of everything made anew, seed %d', seed => {
    const random = seeded(seed);
    let site = wide(12);
    publishSite(site);
    for (let i = 0; i < 6; i++) {
      const edits = random.pick(ACTS)(site, random, `g${random.int(12)}`);
      const applied = applyChange(site, { edits });
      if (!applied.ok) continue;
      site = applied.value.site;
      expect(files(site)).toEqual(files(forgetful(site)));
    }
  });

  // Its navigation names the pages at the top alone.
  const site = after(wide(60), [set('head-nav', ['content', 'depth'], 1)]);
  const made = (it: Site) =>
    new Map([...it.kinds.page.values()].map(page => [page.id, renderPage(it, page)]));
  const anew = (before: Site, edits: readonly Edit[]): Id[] => {
    const was = made(before);
    const is = made(after(before, edits));
    return [...is].flatMap(([id, page]) => (was.get(id) === page ? [] : [id]));
  };
  it('makes only the page anew that was renamed, where no other shows its name', () => {
    expect(anew(site, [set('g40', ['title'], 'Renamed')])).toEqual(['g40']);
  });
  it('makes those anew that link to a page whose address is another, and those below it', () => {
    const linking = [...site.kinds.widget.values()].flatMap(it => {
      const { link } = it.content;
      return it.widget === 'button' &&
        it.id.startsWith('b') &&
        typeof link === 'object' &&
        link !== null &&
        'page' in link &&
        link.page === 'g40'
        ? [`g${it.id.slice(1)}`]
        : [];
    });
    expect(linking.length).toBeGreaterThan(0);
    expect(new Set(anew(site, [set('g40', ['path'], 'elsewhere')]))).toEqual(new Set(['g40', ...linking]));
  });
  it('makes all anew that show the name in their navigation', () => {
    expect(getRecord(site, 'g1')).toMatchObject({ at: { parent: 'settings' } });
    expect(anew(site, [set('g1', ['title'], 'Renamed')])).toHaveLength(site.kinds.page.size);
  });
  it('makes anew what lists a page, and nothing else, where what it says of itself is another', () => {
    const listing = after(site, [
      {
        op: 'put',
        record: {
          id: 'list',
          kind: 'widget',
          widget: 'pageList',
          at: { parent: 's7', order: 'Z' },
          content: { of: 'below a page', page: { type: 'page', page: 'g1' } },
          variants: {},
          wears: {},
          styles: {},
        },
      },
    ]);
    const text = () => publishSite(after(listing, [set('g40', ['description'], 'By the bell')])).files;
    expect(
      [...text()].filter(([, it]) => it.includes('<p class="pageList-text">By the bell</p>')),
    ).toHaveLength(1);
    expect(new Set(anew(listing, [set('g40', ['description'], 'By the bell')]))).toEqual(
      new Set(['g40', 'g7']),
    );
    expect(new Set(anew(listing, [set('g40', ['shortName'], 'Bell')]))).toEqual(new Set(['g40', 'g7']));
    expect(anew(listing, [set('g41', ['description'], 'By the bell')])).toEqual(['g41']);
  });
  it('makes none anew for a page that is taken off and on again', () => {
    const off = after(site, [set('g40', ['off'], true)]);
    made(off);
    const was = made(site);
    expect(
      [...made(after(off, [{ op: 'unset', id: 'g40', path: ['off'] }]))].filter(
        ([id, it]) => was.get(id) !== it,
      ).length,
    ).toBeLessThan(site.kinds.page.size / 4);
  });
});
