import {
  addPage,
  applyChange,
  type Edit,
  editAt,
  publishSite,
  putRecord,
  SETTINGS,
  type Site,
  sectionsIn,
  setAreaUse,
  setSlot,
  settingsOf,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { beforeAll, describe, expect, it } from '@jest/globals';
import type { Page } from 'puppeteer-core';
import { until as waitUntil } from './support/program.ts';
import { publishedPages } from './support/published.ts';

const demo = tolvane(() => 'abcdef0123456789.webp');
const published = publishedPages();
let page: Page;
beforeAll(() => {
  page = published.it.page;
});

const after = (site: Site, ...edits: Edit[]): Site => {
  const changed = applyChange(site, { edits });
  if (!changed.ok) throw new Error(changed.problem.message);
  return changed.value.site;
};
const WIDE = ['as they come', 'menus', 'wide-menus', 'upright', 'behind-a-button'] as const;
const NARROW = ['full-screen', 'from-the-side', 'drops-down', 'tiles', 'bottom-bar'] as const;
type Wide = (typeof WIDE)[number];
type Narrow = (typeof NARROW)[number];

/** The demo with its header’s navigation in one arrangement for wide windows and one for narrow ones. */
const arranged = (wide: Wide, narrow: Narrow, site = demo): Site =>
  after(
    site,
    editAt<'widget'>('head-nav').set('variants', {
      ...(wide !== 'as they come' && { arrangement: `navigation-${wide}` }),
      'narrow arrangement': `navigation-${narrow}`,
    }),
  );
const until = <T>(ask: () => Promise<T>, holds: (value: T) => boolean): Promise<T> =>
  waitUntil(ask, holds, 'what was waited for did not come');
const HEADER = '.page-sheet > header';
const WIDTHS = { wide: 1280, medium: 820, narrow: 360 } as const;

async function open(site: Site, path: string, width: number, { scripts = true, height = 700 } = {}) {
  await page.setViewport({ width, height });
  await published.it.open(publishSite(site).files, path, scripts);
}
/** Words of what is shown of the header’s links, as a visitor sees them now. */
const links = () =>
  page.$$eval(`${HEADER} .navigationEntry-link`, all =>
    all.filter(it => it.checkVisibility()).map(it => it.textContent ?? ''),
  );
const visible = (selector: string) =>
  page.$$eval(`${HEADER} ${selector}`, all => all.filter(it => it.checkVisibility()).length);
const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '');
const labelled = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
const overflow = () =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
const boxOf = (selector: string) =>
  page.$eval(selector, it => {
    const { left, right, top, bottom } = it.getBoundingClientRect();
    return { left, right, top, bottom };
  });
/** Tabs on until the focus is on something named so. */
async function tabTo(name: string): Promise<void> {
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press('Tab');
    if ((await labelled()) === name || (await focused()) === name) return;
  }
  throw new Error(`the Tab key never comes to ${name}`);
}
const TOP = ['Home', 'Sailings', 'Fares', 'Islands', 'On board', 'Questions', 'About'];
const ISLANDS = ['Hesk', 'Little Hesk', 'Carrow', 'Sant Bree'];
const ALL = [
  'Home',
  'Sailings',
  'Fares',
  'Booking',
  'Islands',
  ...ISLANDS,
  'On board',
  'Questions',
  'Lost property',
  'About',
];
const MORE = '[aria-label="More in Islands"]';

describe('on wide windows a navigation', () => {
  it.each(['as they come', 'upright'] as const)('that stands there %s shows all pages', async wide => {
    await open(arranged(wide, 'full-screen'), '', WIDTHS.wide);
    expect(await links()).toEqual(ALL);
    expect(await visible('button')).toBe(0);
    expect(await overflow()).toBe(0);
    expect(await published.it.violations()).toEqual([]);
  });
  it.each(['menus', 'wide-menus'] as const)('in %s opens what is below a page, by keys', async wide => {
    await open(arranged(wide, 'full-screen'), '', WIDTHS.wide);
    expect(await links()).toEqual(TOP);
    await tabTo('More in Islands');
    await page.keyboard.press('Enter');
    expect(await links()).toEqual([...TOP.slice(0, 4), ...ISLANDS, ...TOP.slice(4)]);
    expect(await page.$eval(MORE, it => it.getAttribute('aria-expanded'))).toBe('true');
    expect(await published.it.violations(HEADER)).toEqual([]);
    // What opened is in front of everything, within the window, and beneath its button.
    const menu = await boxOf(`${HEADER} .navigationEntry-below:popover-open`);
    const button = await boxOf(MORE);
    expect(menu.top).toBeGreaterThanOrEqual(button.bottom - 1);
    expect(menu.left).toBeGreaterThanOrEqual(0);
    expect(menu.right).toBeLessThanOrEqual(WIDTHS.wide);
    if (wide === 'wide-menus') expect(menu.right - menu.left).toBeGreaterThan(WIDTHS.wide - 20);
    await page.keyboard.press('ArrowDown');
    expect(await focused()).toBe('Hesk');
    await page.keyboard.press('ArrowDown');
    expect(await focused()).toBe('Little Hesk');
    await page.keyboard.press('End');
    expect(await focused()).toBe('Sant Bree');
    await page.keyboard.press('Escape');
    expect(await links()).toEqual(TOP);
    expect(await labelled()).toBe('More in Islands');
    expect(await page.$eval(MORE, it => it.getAttribute('aria-expanded'))).toBe('false');
    // Whoever goes on leaves nothing open behind.
    await page.keyboard.press('Enter');
    await page.focus(`${HEADER} .siteTitle-link`);
    await until(
      async () => (await links()).length,
      count => count === TOP.length,
    );
  });
  it('in menus opens by touch, and closes by a touch elsewhere', async () => {
    await open(arranged('menus', 'full-screen'), '', WIDTHS.wide);
    await page.tap(MORE);
    await until(links, all => all.includes('Hesk'));
    await page.tap('main h1');
    await until(links, all => !all.includes('Hesk'));
  });
  it('behind a button opens with all pages beneath that', async () => {
    await open(arranged('behind-a-button', 'full-screen'), '', WIDTHS.wide);
    expect(await links()).toEqual([]);
    await tabTo('Menu');
    await page.keyboard.press('Enter');
    expect(await links()).toEqual(ALL);
    const panel = await boxOf(`${HEADER} .navigation-panel`);
    expect(panel.top).toBeGreaterThanOrEqual((await boxOf(`${HEADER} .navigation-opener`)).bottom - 1);
    expect(panel.right).toBeLessThanOrEqual(WIDTHS.wide);
    await page.keyboard.press('Escape');
    expect(await links()).toEqual([]);
    expect(await labelled()).toBe('Menu');
  });
  it.each(WIDE)(
    'that stands there %s fits a window of medium width, and works without a script',
    async wide => {
      for (const scripts of [true, false]) {
        await open(arranged(wide, 'full-screen'), '', WIDTHS.medium, { scripts });
        expect(await overflow()).toBe(0);
        if (wide === 'menus' || wide === 'wide-menus') {
          await page.click(MORE);
          expect(await links()).toEqual([...TOP.slice(0, 4), ...ISLANDS, ...TOP.slice(4)]);
        } else {
          if (wide === 'behind-a-button') await page.click(`${HEADER} .navigation-opener`);
          expect(await links()).toEqual(ALL);
        }
      }
    },
  );
});

describe('on narrow windows a navigation', () => {
  it.each(['full-screen', 'from-the-side', 'drops-down', 'tiles'] as const)(
    'as %s opens by its button, by touch and keys, and gives the focus back',
    async narrow => {
      await open(arranged('menus', narrow), 'islands/hesk/', WIDTHS.narrow);
      expect(await links()).toEqual([]);
      expect(await overflow()).toBe(0);
      await page.tap(`${HEADER} .navigation-opener`);
      await until(links, all => all.length === ALL.length);
      expect(await links()).toEqual(ALL);
      expect(await published.it.violations(HEADER)).toEqual([]);
      const panel = await boxOf(`${HEADER} .navigation-panel`);
      expect(panel.left).toBeGreaterThanOrEqual(0);
      expect(panel.right).toBeLessThanOrEqual(WIDTHS.narrow);
      expect(panel.bottom).toBeLessThanOrEqual(700);
      if (narrow !== 'drops-down') {
        expect(panel.bottom - panel.top).toBe(700);
        await page.tap(`${HEADER} .navigation-close`);
        await until(links, all => all.length === 0);
      } else await page.keyboard.press('Escape');
      expect(await links()).toEqual([]);
      expect(await labelled()).toBe('Menu');
      // Every target of a touch has room for a finger (WCAG 2.2, 2.5.8).
      await page.keyboard.press('Enter');
      expect(await published.it.violations(HEADER, 'target-size')).toEqual([]);
    },
  );
  it('stands as a bar at the foot of the window, with what is below a page above that', async () => {
    await open(arranged('menus', 'bottom-bar'), '', WIDTHS.narrow);
    await until(links, all => all.length === TOP.length);
    const bar = await boxOf(`${HEADER} .navigation-panel`);
    expect(bar).toMatchObject({ left: 0, right: WIDTHS.narrow, bottom: 700 });
    expect(bar.top).toBeGreaterThan(600);
    await page.$eval(MORE, it => it.scrollIntoView());
    await page.tap(MORE);
    await until(links, all => all.includes('Hesk'));
    expect((await boxOf(`${HEADER} .navigationEntry-below:popover-open`)).bottom).toBeLessThanOrEqual(
      bar.bottom,
    );
    expect(await published.it.violations(HEADER)).toEqual([]);
    // The end of the page is not under it.
    await page.keyboard.press('Escape');
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    expect((await boxOf('footer')).bottom).toBeLessThanOrEqual(bar.top + 1);
    // A wider window has no bar.
    await page.setViewport({ width: WIDTHS.wide, height: 700 });
    await until(
      () => boxOf(`${HEADER} .navigation-panel`),
      it => it.top < 100,
    );
    expect(await links()).toEqual(TOP);
  });
  it.each(NARROW)('as %s works where no script runs', async narrow => {
    await open(arranged('menus', narrow), '', WIDTHS.narrow, { scripts: false });
    await page.click(`${HEADER} .navigation-opener`);
    expect((await links()).slice(0, 4)).toEqual(narrow === 'bottom-bar' ? TOP.slice(0, 4) : ALL.slice(0, 4));
    expect(await overflow()).toBe(0);
  });
  it('shows an icon on each tile of a page that has one', async () => {
    await open(arranged('menus', 'tiles'), '', WIDTHS.narrow);
    await page.tap(`${HEADER} .navigation-opener`);
    await until(
      () => visible('.navigationEntry-sign'),
      count => count > 3,
    );
  });
});

describe('a navigation with 200 pages', () => {
  let many = demo;
  beforeAll(() => {
    for (let i = 0; i < 200; i++)
      many = after(many, ...addPage(many, `Landing ${i + 1}`, i % 4 === 0 ? SETTINGS : 'islands').edits);
  });
  it('keeps a long menu within a short window, where it scrolls', async () => {
    await open(arranged('menus', 'full-screen', many), 'fares/', WIDTHS.wide, { height: 480 });
    await page.$eval(MORE, it => it.scrollIntoView({ block: 'start' }));
    await page.click(MORE);
    const opened = `${HEADER} .navigationEntry-below:popover-open`;
    await page.waitForSelector(opened);
    const menu = await boxOf(opened);
    expect(menu.bottom).toBeLessThanOrEqual(480);
    expect(await page.$eval(opened, it => it.scrollHeight > it.clientHeight + 1000)).toBe(true);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('End');
    expect(await focused()).toBe('Landing 200');
    expect((await boxOf(':focus')).bottom).toBeLessThanOrEqual(480);
  });
  it('shows all of them on a narrow window', async () => {
    await open(arranged('menus', 'full-screen', many), '', WIDTHS.narrow);
    await page.tap(`${HEADER} .navigation-opener`);
    await until(links, all => all.length === ALL.length + 200);
    expect(await overflow()).toBe(0);
  });
});

describe('a header', () => {
  const scrollTo = (y: number) =>
    page.evaluate(to => {
      window.scrollTo(0, to);
      return new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => done(null))));
    }, y);
  const top = async () => (await boxOf(`${HEADER} .header-box`)).top;
  const height = async () => {
    const { top: from, bottom } = await boxOf(`${HEADER} .header-box`);
    return bottom - from;
  };

  it('leaves on scrolling down and comes back on scrolling up, and for the focus', async () => {
    await open(demo, 'sailings/', WIDTHS.wide);
    await scrollTo(700);
    await until(top, it => it < -20);
    await scrollTo(600);
    await until(top, it => it === 0);
    await scrollTo(900);
    await until(top, it => it < -20);
    await page.focus(`${HEADER} .siteTitle-link`);
    await until(top, it => it === 0);
  });
  it('stays in view, or goes with the page, as the site or the page has it', async () => {
    const stays = after(demo, editAt<'page'>('sailings').set('headerScrolls', 'stays'));
    await open(stays, 'sailings/', WIDTHS.wide);
    await scrollTo(700);
    expect(await top()).toBe(0);
    const goes = after(demo, editAt<'page'>('sailings').set('headerScrolls', 'withPage'));
    await open(goes, 'sailings/', WIDTHS.wide);
    await scrollTo(700);
    expect(await top()).toBe(-700);
    expect(published.it.asked.filter(it => it.includes('behaviours/header'))).toEqual([]);
  });
  it.each([true, false])('never covers what a link leads to (with scripts: %s)', async scripts => {
    for (const width of Object.values(WIDTHS)) {
      const stays = after(demo, editAt<'page'>('fares').set('headerScrolls', 'stays'));
      await open(stays, 'fares/#s-questions', width, { scripts });
      const section = () => boxOf('#s-questions');
      await until(section, it => it.top < 700);
      expect((await section()).top).toBeGreaterThanOrEqual((await height()) - 1);
    }
  });
  it('lies over the first section in colours that are read there, and gets a ground once that has gone', async () => {
    const over = after(demo, editAt<'page'>('sant-bree-page').set('headerScrolls', 'stays'));
    await open(over, 'islands/sant-bree/', WIDTHS.wide);
    const ground = () => page.$eval(`${HEADER} .header-box`, it => getComputedStyle(it).backgroundColor);
    expect((await boxOf('main > :first-child')).top).toBe(0);
    expect(await ground()).toBe('rgba(0, 0, 0, 0)');
    expect(await published.it.violations(HEADER)).toEqual([]);
    await scrollTo(900);
    await until(ground, it => it === 'rgb(20, 28, 48)');
    expect(await published.it.violations(HEADER)).toEqual([]);
    await scrollTo(0);
    await until(ground, it => it === 'rgba(0, 0, 0, 0)');
    // Where nothing can tell what is beneath it, it goes with the page.
    await open(over, 'islands/sant-bree/', WIDTHS.wide, { scripts: false });
    await page.mouse.wheel({ deltaY: 900 });
    await until(top, it => it < -100);
  });
  it('takes the colours of the section beneath it', async () => {
    const follows = after(
      demo,
      editAt<'settings'>(SETTINGS).set('headerScrolls', 'stays'),
      editAt<'settings'>(SETTINGS).set('headerColors', 'sectionBeneath'),
    );
    await open(follows, '', WIDTHS.wide);
    const ground = () => page.$eval(`${HEADER} .header-box`, it => getComputedStyle(it).backgroundColor);
    const grounds = new Set([await ground()]);
    const whole = await page.evaluate(() => document.body.scrollHeight);
    for (let y = 0; y < whole; y += 300) {
      await scrollTo(y);
      grounds.add(await ground());
      expect(await published.it.violations(HEADER, 'color-contrast')).toEqual([]);
    }
    expect(grounds.size).toBeGreaterThanOrEqual(3);
  });
  it('takes a title of 80 characters at every width', async () => {
    const long = after(
      demo,
      editAt<'settings'>(SETTINGS).set(
        'name',
        'The Ferries of Tolvane, of both Hesks, of Carrow and of Sant Bree since the fog ',
      ),
    );
    expect(settingsOf(long).name).toHaveLength(80);
    for (const width of Object.values(WIDTHS)) {
      await open(arranged('menus', 'drops-down', long), '', width);
      expect([width, await overflow()]).toEqual([width, 0]);
    }
  });
  it('is not the only one to stay in view: a sidebar does, on either side of what it stands beside', async () => {
    const shown = after(demo, ...setAreaUse(demo, 'fares', 'sidebar', 'shared'));
    const [sidebar] = sectionsIn(shown, 'fares', 'sidebar');
    const nav = demo.kinds.widget.get('foot-nav');
    if (!sidebar || !nav) throw new Error('no sidebar');
    const stays = after(
      shown,
      editAt<'section'>(sidebar.id).set('variants', { scrolling: 'sidebar-stays' }),
      putRecord({ ...nav, id: 'beside', at: { parent: sidebar.id, order: 'V' } }),
    );
    await open(stays, 'fares/', WIDTHS.wide);
    const beside = () => boxOf('.sidebar-box');
    expect((await beside()).left).toBeGreaterThan(WIDTHS.wide / 2);
    await scrollTo(500);
    expect((await beside()).top).toBe(80);
    expect(await published.it.violations('aside')).toEqual([]);
    const before = after(
      stays,
      ...setSlot(stays, { type: 'default', element: 'page' }, 'middle/flexDirection', {
        type: 'keyword',
        value: 'row-reverse',
      }),
    );
    await open(before, 'fares/', WIDTHS.wide);
    expect((await beside()).left).toBe(0);
    // Below the content where both do not fit beside each other.
    await open(before, 'fares/', WIDTHS.narrow);
    expect((await beside()).top).toBeGreaterThan((await boxOf('main')).bottom - 2);
    expect(await overflow()).toBe(0);
  });
  it('turns around with the language', async () => {
    const turned = after(demo, editAt<'settings'>(SETTINGS).set('language', 'ar'));
    await open(turned, '', WIDTHS.wide);
    expect((await boxOf(`${HEADER} .siteTitle-link`)).right).toBeGreaterThan(WIDTHS.wide / 2);
    await page.click('[aria-label="المزيد في Islands"]');
    await until(links, all => all.includes('Hesk'));
    const menu = await boxOf(`${HEADER} .navigationEntry-below:popover-open`);
    expect(menu.left).toBeGreaterThanOrEqual(0);
    expect(menu.right).toBeLessThanOrEqual(WIDTHS.wide);
    await open(arranged('menus', 'from-the-side', turned), '', WIDTHS.narrow);
    await page.tap(`${HEADER} .navigation-opener`);
    await until(links, all => all.length === ALL.length);
    // From the side on which a line ends, which is the left one now.
    expect((await boxOf(`${HEADER} .navigation-panel`)).left).toBe(0);
    expect(await overflow()).toBe(0);
  });
});
