import {
  applyChange,
  type Edit,
  type Id,
  publishSite,
  richText,
  SETTINGS,
  type Site,
  type WidgetRecord,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import type { KeyInput, Page } from 'puppeteer-core';
import { publishedPages } from './support/published.ts';

const demo = tolvane(() => 'abcdef0123456789.webp');
const published = publishedPages();
let page: Page;
beforeAll(() => {
  page = published.it.page;
});
let files: ReadonlyMap<string, string> = publishSite(demo).files;
beforeEach(() => {
  files = publishSite(demo).files;
});
const open = (path: string, scripts = true) => published.it.open(files, path, scripts);
const violations = () => published.it.violations();
/** Words that a reader sees: laid out, and in nothing that is skipped. */
const seen = (words: string) =>
  page.evaluate(text => {
    const all = [...document.querySelectorAll('p')].filter(it => it.textContent?.includes(text));
    return all.some(it => it.checkVisibility({ contentVisibilityAuto: false, opacityProperty: true }));
  }, words);
const openEntries = () =>
  page.$$eval('details[open] > summary', all => all.map(it => it.textContent?.trim() ?? ''));
const selectedTabs = () =>
  page.$$eval('[role=tab][aria-selected=true]', all => all.map(it => it.textContent?.trim() ?? ''));
const focused = () => page.evaluate(() => document.activeElement?.textContent?.trim() ?? '');
const press = (key: KeyInput) => page.keyboard.press(key);

/** Modules that a page asks for besides those of the header that all pages share. */
const ownScripts = () =>
  published.it.asked.filter(it => it.endsWith('.js') && !/behaviours\/(header|navigation)-/.test(it));

describe('an accordion on a published page', () => {
  it('asks for no script, and opens by pointer and by keys', async () => {
    await open('fares/');
    expect(ownScripts()).toEqual([]);
    expect(await openEntries()).toEqual([]);
    expect(await seen('The boat waits')).toBe(false);
    await page.click('#w-asked-fog > summary');
    expect(await openEntries()).toEqual(['What if there is fog?']);
    expect(await seen('The boat waits')).toBe(true);
    await page.focus('#w-asked-late > summary');
    await press('Enter');
    // One at a time: the other entry has closed.
    expect(await openEntries()).toEqual(['What if I miss the last boat?']);
    await press('Space');
    expect(await openEntries()).toEqual([]);
  });
  it('works as well where no script runs, its inner one by itself', async () => {
    await open('fares/', false);
    await page.click('#w-asked-dogs > summary');
    await page.click('#w-asked-open > summary');
    await page.click('#w-asked-saloon > summary');
    expect(await page.$$eval('details[open]', all => all.map(it => it.id))).toEqual([
      'w-asked-dogs',
      'w-asked-open',
      'w-asked-saloon',
    ]);
  });
  it('is opened by a link to what stands in it (HTML, section 4.11.1)', async () => {
    await open('fares/#w-asked-saloon');
    const around = await page.$$eval('details[open]', all => all.map(it => it.id));
    expect(around).toContain('w-asked-dogs');
  });
  it('shows all it has on paper', async () => {
    await open('fares/');
    await page.emulateMediaType('print');
    expect(
      await page.$$eval('details', all =>
        all.every(it => getComputedStyle(it, '::details-content').contentVisibility === 'visible'),
      ),
    ).toBe(true);
    await page.emulateMediaType('screen');
  });
  it('shows the arrow of the entry that is open turned, and of none within it or around it', async () => {
    await open('fares/');
    await page.click('#w-asked-dogs > summary');
    const turned = () =>
      page.$$eval('details', all =>
        all.flatMap(it => {
          const arrow = it.querySelector('summary svg');
          return arrow && getComputedStyle(arrow).rotate === '180deg' ? [it.id] : [];
        }),
      );
    await page.evaluate(() => Promise.all(document.getAnimations().map(it => it.finished)));
    expect(await turned()).toEqual(['w-asked-dogs']);
  });
  it('has nothing that axe-core finds, closed and open', async () => {
    await open('fares/');
    expect(await violations()).toEqual([]);
    await page.$$eval('details', all => {
      for (const it of all) it.open = true;
    });
    expect(await violations()).toEqual([]);
  });
});

describe('tabs on a published page', () => {
  it('come with one module, which pages without tabs do not ask for', async () => {
    await open('sailings/');
    expect(published.it.asked.filter(it => it.startsWith('behaviours/tabs'))).toHaveLength(1);
    published.it.asked = [];
    await open('');
    expect(ownScripts()).toEqual([]);
  });
  it('show one panel, and another by pointer', async () => {
    await open('sailings/');
    expect([await seen('13:05 and 17:30, and on'), await seen('carries bikes only')]).toEqual([true, false]);
    await page.click('#w-days-saturday-tab');
    expect(await selectedTabs()).toEqual(['Saturday']);
    expect([await seen('13:05 and 17:30, and on'), await seen('carries bikes only')]).toEqual([false, true]);
  });
  it('go by arrows, Home and End, and one of them is in the order of the Tab key (WAI-ARIA Authoring Practices, tabs)', async () => {
    await open('sailings/');
    await page.focus('#w-days-weekdays-tab');
    const after = async (key: KeyInput) => {
      await press(key);
      return [await focused(), ...(await selectedTabs())];
    };
    expect(await after('ArrowRight')).toEqual(['Saturday', 'Saturday']);
    expect(await after('ArrowRight')).toEqual(['Sunday', 'Sunday']);
    expect(await after('ArrowRight')).toEqual(['Weekdays', 'Weekdays']);
    expect(await after('ArrowLeft')).toEqual(['Sunday', 'Sunday']);
    expect(await after('Home')).toEqual(['Weekdays', 'Weekdays']);
    expect(await after('End')).toEqual(['Sunday', 'Sunday']);
    expect(await page.$$eval('[role=tab]', all => all.map(it => (it as HTMLElement).tabIndex))).toEqual([
      -1, -1, 0,
    ]);
    await press('Tab');
    expect(await page.evaluate(() => document.activeElement?.id)).toBe('w-days-sunday');
  });
  it('mirror the arrows in a page that runs from right to left', async () => {
    await open('sailings/');
    await page.evaluate(() => {
      document.documentElement.dir = 'rtl';
    });
    await page.focus('#w-days-weekdays-tab');
    await press('ArrowLeft');
    expect(await selectedTabs()).toEqual(['Saturday']);
  });
  it('show the panel of what a link leads to, at once and later', async () => {
    await open('sailings/#w-days-sunday');
    expect(await selectedTabs()).toEqual(['Sunday']);
    await page.evaluate(() => {
      location.hash = '#w-days-saturday';
    });
    await page.waitForFunction(
      () => document.querySelector('[role=tab][aria-selected=true]')?.textContent?.trim() === 'Saturday',
    );
  });
  it('show everything where no script runs, and on paper', async () => {
    await open('sailings/', false);
    const heights = () =>
      page.$$eval('[role=tabpanel]', all => all.map(it => it.getBoundingClientRect().height > 20));
    expect(await heights()).toEqual([true, true, true]);
    await open('sailings/');
    expect(await heights()).toEqual([true, false, false]);
    await page.emulateMediaType('print');
    expect(await heights()).toEqual([true, true, true]);
    await page.emulateMediaType('screen');
  });
  it('has nothing that axe-core finds', async () => {
    await open('sailings/');
    expect(await violations()).toEqual([]);
    expect(published.it.errors).toEqual([]);
  });
});

/** A page on which each of the two stands in itself and in the other, three deep. */
function nested(): Site {
  const page = demo.kinds.page.get('fares');
  const section = demo.kinds.section.get('questions');
  if (!page || !section) throw new Error('not there');
  const edits: Edit[] = [
    { op: 'put', record: { ...page, id: 'nested', path: 'nested', at: { parent: SETTINGS, order: 'zz' } } },
    { op: 'put', record: { ...section, id: 'one', at: { parent: 'nested', order: 'V' } } },
  ];
  const put = (id: Id, parent: Id, order: string, widget: string, content: WidgetRecord['content']) =>
    edits.push({
      op: 'put',
      record: {
        id,
        kind: 'widget',
        widget,
        at: { parent, order },
        content,
        variants: {},
        wears: {},
        styles: {},
      },
    });
  let made = 0;
  const fill = (parent: Id, depth: number) => {
    for (const [holder, item] of [
      ['accordion', 'accordionEntry'],
      ['tabs', 'tab'],
    ] as const) {
      const id = `h${made++}`;
      put(id, parent, `V${made}V`, holder, holder === 'tabs' ? { label: id } : { level: 2 });
      for (const n of [1, 2]) {
        put(`${id}i${n}`, id, `V${n}`, item, { title: `${id} ${n}`, icon: null });
        put(`${id}t${n}`, `${id}i${n}`, 'V', 'text', { text: richText(`Words of ${id} ${n}`) });
      }
      if (depth < 2) fill(`${id}i1`, depth + 1);
    }
  };
  put('title', 'one', 'A', 'heading', { text: 'Nested', level: 1 });
  fill('one', 0);
  const applied = applyChange(demo, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
}

describe('tabs and accordions in each other', () => {
  it('open and show each by itself', async () => {
    files = publishSite(nested()).files;
    await open('nested/');
    expect(published.it.errors).toEqual([]);
    const tabs = await page.$$eval('[role=tablist]', all =>
      all.map(list => [...list.children].map(it => it.getAttribute('aria-selected')).join()),
    );
    expect(tabs.length).toBe(7);
    expect(new Set(tabs)).toEqual(new Set(['true,false']));
    // A tab deep inside alters none of the rows around it.
    const before = await selectedTabs();
    const last = await page.$$eval('[role=tablist]', all => {
      const inner = all.at(-1)?.lastElementChild;
      if (inner instanceof HTMLElement) inner.click();
      return inner?.textContent?.trim() ?? '';
    });
    const after = await selectedTabs();
    expect(after.filter(it => !before.includes(it))).toEqual([last]);
    const ids = await page.$$eval('[id]', all => all.map(it => it.id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(await violations()).toEqual([]);
  });
});

describe('a page in a language that is written leftward', () => {
  it.each(['', 'sailings/', 'fares/', 'islands/'])(
    'has every box of “%s” where its mirror image has it',
    async path => {
      await page.setViewport({ width: 1280, height: 900 });
      await open(path);
      const there = await published.it.boxes();
      const applied = applyChange(demo, {
        edits: [{ op: 'set', id: SETTINGS, path: ['language'], value: 'ar' }],
      });
      if (!applied.ok) throw new Error(applied.problem.message);
      files = publishSite(applied.value.site).files;
      await open(path);
      const mirrored = await published.it.boxes();
      expect(there.length).toBeGreaterThan(20);
      expect(mirrored.length).toBe(there.length);
      expect(await published.it.unmirrored(there, mirrored)).toEqual([]);
    },
  );
});
