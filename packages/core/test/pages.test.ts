import { describe, expect, it } from '@jest/globals';
import {
  addPage,
  addressOf,
  duplicatePage,
  freeAddress,
  movePage,
  nudgePage,
  PAGE_SWITCHES,
  removePage,
  setAddress,
  setHome,
  showArea,
  switchPage,
} from '../src/commands/index.ts';
import { listedPages, pagesInOrder, publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  nodesIn,
  readRecord,
  SETTINGS,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { withoutCss } from './support/published.ts';
import { seeded } from './support/random.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const paths = (site: Site): string[] =>
  [...publishSite(site).files.keys()].filter(it => it.endsWith('index.html')).sort();
const html = (site: Site, path: string): string => publishSite(site).files.get(path) ?? '';
const titles = (site: Site): string[] => pagesInOrder(site).map(it => it.title);

describe('an address', () => {
  it.each([
    ['Fares & times', 'fares-times'],
    ['Überfahrt nach Hesk', 'uberfahrt-nach-hesk'],
    ['  --Late  boats-- ', 'late-boats'],
    ['日本', ''],
    ['../../etc', 'etc'],
  ])('of %j is %j', (text, address) => {
    expect(addressOf(text)).toBe(address);
  });
  it('gives way where another page has it, and is refused where it is typed', () => {
    expect(freeAddress(demo, SETTINGS, 'Fares')).toBe('fares-2');
    expect(freeAddress(demo, 'fares', 'Fares')).toBe('fares');
    expect(setAddress(demo, 'sailings', 'Fares')).toMatchObject({
      ok: false,
      problem: { code: 'address-taken', expected: 'fares-2' },
    });
    expect(setAddress(demo, 'sailings', '!').ok).toBe(false);
    expect(setAddress(demo, 'home', 'start').ok).toBe(false);
    const moved = after(demo, must(setAddress(demo, 'sailings', 'Time Table')));
    expect(paths(moved)).toContain('time-table/index.html');
    expect(html(moved, 'index.html')).toContain('href="time-table/"');
  });
});

/** Pages of the demo with those below them, in order. */
const FARES = ['Fares', 'Booking'];
const ISLANDS = ['Islands', 'Hesk', 'Little Hesk', 'Carrow', 'Sant Bree'];
const REST = ['On board', 'Questions', 'Lost property', 'About'];

describe('a page', () => {
  it('is added last, empty, with an address of its own', () => {
    const { edits, id } = addPage(demo, 'Lost property');
    const site = after(demo, edits);
    expect(titles(site).at(-1)).toBe('Lost property');
    expect(site.kinds.page.get(id)).toMatchObject({ path: 'lost-property', at: { parent: SETTINGS } });
    expect(paths(site)).toContain('lost-property/index.html');
  });
  it('is nested and brought out again, its address following', () => {
    const site = after(demo, must(movePage(demo, 'fares', 'sailings', 0)));
    expect(paths(site)).toContain('sailings/fares/index.html');
    expect(movePage(site, 'sailings', 'fares', 0).ok).toBe(false);
    expect(movePage(site, 'home', 'fares', 0).ok).toBe(false);
    const out = after(site, must(nudgePage(site, 'fares', 'out')));
    expect(titles(out)).toEqual(['Home', 'Sailings', ...FARES, ...ISLANDS, ...REST]);
    const down = after(out, must(nudgePage(out, 'fares', 'down')));
    expect(titles(down)).toEqual(['Home', 'Sailings', ...ISLANDS, ...FARES, ...REST]);
    let last = down;
    for (const _ of ['On board', 'Questions', 'About'])
      last = after(last, must(nudgePage(last, 'fares', 'down')));
    expect(titles(last)).toEqual(['Home', 'Sailings', ...ISLANDS, ...REST, ...FARES]);
    expect(nudgePage(last, 'fares', 'down').ok).toBe(false);
  });
  it('is copied with all that stands on it, links into it leading into the copy', () => {
    const [section = ''] = nodesIn(demo, 'home');
    const linked = after(demo, [
      { op: 'set', id: 'book', path: ['content', 'link'], value: { type: 'section', page: 'home', section } },
    ]);
    const { edits, id } = must(duplicatePage(linked, 'home'));
    const site = after(linked, edits);
    expect(nodesIn(site, id)).toHaveLength(nodesIn(site, 'home').length);
    expect(site.kinds.page.get(id)).toMatchObject({ title: 'Home copy', path: 'home-copy' });
    const copied = nodesIn(site, id)
      .map(it => site.kinds.widget.get(it)?.content.link)
      .find(link => typeof link === 'object' && link !== null && 'section' in link);
    expect(copied).toEqual({ type: 'section', page: id, section: nodesIn(site, id)[0] });
    expect(html(site, 'home-copy/index.html')).toContain('is worth it');
  });
  it('goes with those below it; links that led there lead to the page above, rules for it go', () => {
    const nested = after(demo, [
      ...must(movePage(demo, 'fares', 'sailings', 0)),
      {
        op: 'put',
        record: {
          id: 'default-button-page-fares',
          kind: 'default',
          element: 'button',
          place: { type: 'page', page: 'fares' },
          styles: {},
        },
      },
    ]);
    const site = after(nested, must(removePage(nested, 'fares')));
    expect(titles(site)).toEqual(['Home', 'Sailings', ...ISLANDS, ...REST]);
    expect(site.kinds.default.has('default-button-page-fares')).toBe(false);
    expect(JSON.stringify([...site.kinds.widget.values()])).not.toContain('"fares"');
    const gone = after(demo, must(removePage(demo, 'fares')));
    expect(html(gone, 'index.html')).not.toContain('href="fares/"');
    expect(removePage(demo, 'home').ok).toBe(false);
  });
  it('becomes the home page, and the old one gets an address', () => {
    const site = after(demo, must(setHome(demo, 'aboard')));
    const others = paths(demo).filter(it => it !== 'on-board/index.html');
    expect(paths(site)).toEqual([...others, 'home/index.html'].sort());
    expect(html(site, 'index.html')).toContain('Three decks');
    expect(must(setHome(site, 'aboard'))).toEqual([]);
    // Pages below a page without an address would share theirs with those at the top.
    expect(movePage(demo, 'fares', 'home', 0).ok).toBe(false);
    const nested = after(demo, must(movePage(demo, 'fares', 'sailings', 0)));
    expect(setHome(nested, 'sailings').ok).toBe(false);
  });
});

describe('the switches of a page', () => {
  const on = (name: (typeof PAGE_SWITCHES)[number]) => after(demo, switchPage('fares', name, true));
  it('off: visitors do not get it, nothing leads there, and members still have it', () => {
    const site = on('off');
    expect(paths(site)).not.toContain('fares/index.html');
    expect([...publishSite(site).files.values()].join('')).not.toContain('fares/"');
    expect(titles(site)).toContain('Fares');
    expect(paths(after(site, switchPage('fares', 'off', false)))).toContain('fares/index.html');
  });
  it('off: not the home page', () => {
    expect(applyChange(demo, { edits: switchPage('home', 'off', true) })).toMatchObject({
      ok: false,
      problem: { code: 'bad-home' },
    });
    expect(setHome(on('off'), 'fares').ok).toBe(false);
  });
  it('unlisted: not in navigation, but there', () => {
    expect(listedPages(on('unlisted')).map(it => it.title)).toEqual([
      'Home',
      'Sailings',
      'Islands',
      'On board',
      'Questions',
      'About',
    ]);
    expect(paths(on('unlisted'))).toContain('fares/index.html');
  });
  it('unindexed: search engines are asked to stay away, and it is not on the map', () => {
    const site = after(on('unindexed'), [
      { op: 'set', id: SETTINGS, path: ['address'], value: 'https://tolvane.example' },
    ]);
    expect(html(site, 'fares/index.html')).toContain('<meta name="robots" content="noindex">');
    expect(html(site, 'index.html')).not.toContain('noindex');
    const map = publishSite(site).files.get('sitemap.xml') ?? '';
    expect(map).toContain('<loc>https://tolvane.example/sailings/</loc>');
    expect(map).not.toContain('/fares/</loc>');
  });
  it('take nothing but on', () => {
    const page = demo.kinds.page.get('fares');
    for (const name of PAGE_SWITCHES) {
      expect(readRecord({ ...page, [name]: false }).ok).toBe(false);
      expect(readRecord({ ...page, [name]: true }).ok).toBe(true);
    }
  });
});

describe('what is said of a page elsewhere', () => {
  const [picture] = demo.kinds.asset.values();
  const site = after(demo, [
    { op: 'set', id: SETTINGS, path: ['address'], value: 'https://tolvane.example/line' },
    { op: 'set', id: SETTINGS, path: ['tabIcon'], value: picture?.id },
    { op: 'set', id: 'fares', path: ['sharePicture'], value: picture?.id },
    { op: 'set', id: 'fares', path: ['title'], value: 'Fares "now" <b>' },
  ]);
  it('is its full address, title, description and picture, escaped (The Open Graph protocol)', () => {
    const page = html(site, 'fares/index.html');
    expect(page).toContain('<link rel="canonical" href="https://tolvane.example/line/fares/">');
    expect(page).toContain(
      `<meta property="og:image" content="https://tolvane.example/line/assets/${picture?.file.replace('.webp', '-1200x630.jpg')}">`,
    );
    expect(page).toContain('og:title" content="Fares &quot;now&quot; &lt;b&gt;');
    const stem = `../assets/${picture?.file.replace('.webp', '')}`;
    expect(page).toContain(`<link rel="icon" href="${stem}-32x32.png" type="image/png" sizes="32x32">`);
    expect(page).toContain(`<link rel="apple-touch-icon" href="${stem}-180x180.png"`);
    expect(publishSite(site).renditions.map(it => it.of)).toContain(picture?.file);
  });
  it('is left out where nobody has said where the site is found', () => {
    expect(withoutCss(html(demo, 'index.html'))).not.toMatch(/og:|canonical|rel="icon"/);
    expect([...publishSite(demo).files.keys()]).not.toContain('sitemap.xml');
  });
  it.each(['ferries', 'https://', 'https://a.example/', 'javascript:alert(1)', 'https://a.example/"x'])(
    'an address is not %j',
    address => {
      expect(
        applyChange(demo, { edits: [{ op: 'set', id: SETTINGS, path: ['address'], value: address }] }).ok,
      ).toBe(false);
    },
  );
});

describe('random acts on pages', () => {
  it.each([1, 2, 3, 4, 5])('keep every invariant and are undone to the byte, seed %i', seed => {
    const random = seeded(seed);
    let now = demo;
    const inverses: (readonly Edit[])[] = [];
    for (let i = 0; i < 30; i++) {
      const ids = [...now.kinds.page.keys()];
      const id = random.pick(ids);
      const acts = [
        () => ({ ok: true as const, value: addPage(now, 'New', random.pick([SETTINGS, id])).edits }),
        () => nudgePage(now, id, random.pick(['up', 'down', 'in', 'out'] as const)),
        () => movePage(now, id, random.pick([SETTINGS, ...ids]), random.int(4)),
        () => {
          const made = duplicatePage(now, id);
          return made.ok ? { ok: true as const, value: made.value.edits } : made;
        },
        () => setHome(now, id),
        () => ({
          ok: true as const,
          value: showArea(
            now,
            id,
            random.pick(['header', 'sidebar', 'footer'] as const),
            random.int(2) === 0,
          ),
        }),
        () => removePage(now, id),
      ];
      const result = random.pick(acts)();
      if (!result.ok) continue;
      const done = must(applyChange(now, { edits: result.value }));
      inverses.push(done.inverse);
      now = done.site;
    }
    expect(inverses.length).toBeGreaterThan(5);
    for (const inverse of inverses.reverse()) now = after(now, inverse);
    for (const kind of ['page', 'section', 'widget', 'default', 'settings'] as const)
      expect(stableText(Object.fromEntries([...now.kinds[kind]].sort()))).toBe(
        stableText(Object.fromEntries([...demo.kinds[kind]].sort())),
      );
  });
});
