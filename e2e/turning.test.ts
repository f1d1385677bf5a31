import { applyChange, editOf, publishSite, richText, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { beforeAll, describe, expect, it } from '@jest/globals';
import type { KeyInput, Page } from 'puppeteer-core';
import { until } from './support/program.ts';
import { publishedPages } from './support/published.ts';

const demo = tolvane(() => 'abcdef0123456789.webp');
const { files } = publishSite(demo);
const published = publishedPages();
let page: Page;
beforeAll(() => {
  page = published.it.page;
});
const open = (scripts = true, of = files) => published.it.open(of, 'on-board/', scripts);
const press = (key: KeyInput) => page.keyboard.press(key);
/** The site with other content of one of its widgets. */
function saying(id: string, content: Record<string, string | number | boolean>): Site {
  const record = demo.kinds.widget.get(id);
  if (!record) throw new Error(`no ${id}`);
  const edits = Object.entries(content).map(([field, value]) =>
    editOf(record).setIn('content', field, value),
  );
  const changed = applyChange(demo, { edits });
  if (!changed.ok) throw new Error(changed.problem.message);
  return changed.value.site;
}
const script = (name: string) => published.it.asked.filter(it => it.startsWith(`behaviours/${name}-`));

describe('a gallery on a published page', () => {
  const shown = () =>
    page.evaluate(() => {
      const dialog = document.querySelector<HTMLDialogElement>('dialog.gallery-large');
      return {
        open: dialog?.open === true && dialog.matches(':modal'),
        told: dialog?.querySelector('.gallery-largeCaption')?.textContent ?? '',
        count: dialog?.querySelector('.gallery-count')?.textContent ?? '',
      };
    });
  const link = (n: number) => `.gallery-pictures > :nth-child(${n}) a`;

  it('opens a picture large, goes round by arrows, Home and End, and gives the focus back (WAI-ARIA Authoring Practices, dialog)', async () => {
    await open();
    expect(script('gallery')).toHaveLength(1);
    await page.focus(link(2));
    await press('Enter');
    expect(await shown()).toEqual({ open: true, told: 'Little Hesk, at low tide', count: '2 / 6' });
    await press('ArrowRight');
    expect((await shown()).count).toBe('3 / 6');
    await press('End');
    await press('ArrowRight');
    expect((await shown()).count).toBe('1 / 6');
    await press('ArrowLeft');
    expect((await shown()).count).toBe('6 / 6');
    await press('Home');
    await page.click('.gallery-control[data-does=after]');
    expect((await shown()).count).toBe('2 / 6');
    expect(await published.it.violations('dialog.gallery-large')).toEqual([]);
    await press('Escape');
    expect((await shown()).open).toBe(false);
    expect(await page.evaluate(n => document.activeElement === document.querySelector(n), link(2))).toBe(
      true,
    );
  });
  it('leads to the pictures themselves where no script runs', async () => {
    await open(false);
    expect(await page.$$eval('.gallery-pictures a', all => all.map(it => it.getAttribute('href')))).toEqual(
      Array.from({ length: 6 }, () => '../assets/abcdef0123456789.webp'),
    );
    expect(await page.$eval('dialog.gallery-large', it => getComputedStyle(it).display)).toBe('none');
  });
  it('asks for no script without a large view', async () => {
    await open(true, publishSite(saying('pictures', { large: 'no' })).files);
    expect(script('gallery')).toEqual([]);
    expect(await page.$('dialog')).toBeNull();
  });
});

describe('slides on a published page', () => {
  const at = () =>
    page.evaluate(() => {
      const row = document.querySelector('.slides-row');
      const left = row?.getBoundingClientRect().left ?? 0;
      return [...(row?.children ?? [])].findIndex(it => Math.abs(it.getBoundingClientRect().left - left) < 2);
    });
  const current = () =>
    page.$$eval('.slide-dot', all => all.findIndex(it => it.getAttribute('aria-current') === 'true'));
  const isAt = async (n: number) => {
    await until(at, it => it === n, `slide ${n}`);
    await until(current, it => it === n, `dot ${n}`);
  };

  it('go on and back by their controls, round at the ends, and to any by its dot', async () => {
    await open();
    await isAt(0);
    await page.click('.slides-control[data-does=after]');
    await isAt(1);
    await page.click('.slides-control[data-does=before]');
    await isAt(0);
    await page.click('.slides-control[data-does=before]');
    await isAt(3);
    await page.click('.slides-control[data-does=after]');
    await isAt(0);
    await page.click('.slides-dots > :nth-child(3)');
    await isAt(2);
    expect(await published.it.violations('.slides-slides')).toEqual([]);
  });
  it('are dragged by a mouse, and a link that was dragged is not followed', async () => {
    await open();
    await page.$eval('.slides-row', it => it.scrollIntoView({ block: 'center' }));
    const box = await (await page.$('.slides-row'))?.boundingBox();
    if (!box) throw new Error('no row');
    const y = box.y + box.height / 3;
    await page.mouse.move(box.x + box.width - 60, y);
    await page.mouse.down();
    for (let i = 1; i <= 8; i++) await page.mouse.move(box.x + box.width - 60 - i * 40, y);
    await page.mouse.up();
    await isAt(1);
  });
  it('scroll by keys, and to each by a link, where no script runs', async () => {
    await open(false);
    expect(await page.$eval('.slides-control', it => getComputedStyle(it).display)).toBe('none');
    await page.focus('.slides-row');
    await press('ArrowRight');
    await until(at, it => it === 1, 'the second slide');
    await page.click('.slides-dots > :nth-child(4)');
    await until(at, it => it === 3, 'the fourth slide');
  });
  it('move on by themselves where that is asked for, stop by their first control, and never with less motion (WCAG 2.2, 2.2.2)', async () => {
    const moving = publishSite(saying('views', { advance: 5 })).files;
    await open(true, moving);
    const first = () => page.$eval('.slides-bar > :first-child', it => it.getAttribute('aria-label'));
    expect(await first()).toBe('Stop moving on');
    await until(at, it => it === 1, 'it moved on');
    await page.click('.slides-bar > :first-child');
    expect(await first()).toBe('Move on');
    await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    await open(true, moving);
    expect(await first()).toBe('Move on');
    await page.emulateMediaFeatures([]);
  });
  it('read from right to left go the other way', async () => {
    const settings = demo.kinds.settings.values().next().value;
    if (!settings) throw new Error('no settings');
    const changed = applyChange(demo, { edits: [editOf(settings).set('language', 'ar')] });
    if (!changed.ok) throw new Error(changed.problem.message);
    await open(true, publishSite(changed.value.site).files);
    expect(await page.evaluate(() => document.documentElement.dir)).toBe('rtl');
    await page.click('.slides-control[data-does=after]');
    await until(current, it => it === 1, 'the second dot');
    expect(await page.$eval('.slides-row', it => it.scrollLeft < 0)).toBe(true);
  });
});

describe('a help panel on a published page', () => {
  const isOpen = () => page.$eval('.help-panel', it => it.matches(':popover-open'));
  const left = () =>
    page.$$eval('.help-entries > *', all =>
      all.flatMap(it => (it.checkVisibility() ? [it.querySelector('summary')?.textContent ?? ''] : [])),
    );

  it('stays in the corner of the window however far the page is scrolled', async () => {
    await open();
    const place = () =>
      page.$eval('.help-opener', it => {
        const { right, bottom } = it.getBoundingClientRect();
        return [Math.round(innerWidth - right) < 40, Math.round(innerHeight - bottom)];
      });
    const before = await place();
    expect(before).toEqual([true, 16]);
    await page.evaluate(() => scrollTo(0, 2000));
    expect(await place()).toEqual(before);
  });
  it('opens by keys, finds an answer by typing, says where nothing matches, and closes by Escape', async () => {
    await open();
    await page.focus('.help-opener');
    await press('Enter');
    expect(await isOpen()).toBe(true);
    expect(await page.$eval('.help-opener', it => it.getAttribute('aria-expanded'))).toBe('true');
    await page.keyboard.type('OVEN boat');
    expect(await left()).toEqual([]);
    expect(await page.$eval('.help-nothing', it => it.checkVisibility())).toBe(true);
    await page.$eval('.help-search', it => it instanceof HTMLInputElement && it.select());
    await page.keyboard.type('hárbour beds');
    expect(await left()).toEqual(['What if I miss the last boat?']);
    expect(await page.$eval('.help-nothing', it => it.checkVisibility())).toBe(false);
    expect(await published.it.violations('.help-panel')).toEqual([]);
    // A field of this type is cleared by the first Escape, as browsers have it.
    await press('Escape');
    expect(await left()).toHaveLength(4);
    await press('Escape');
    expect(await isOpen()).toBe(false);
    expect(await page.evaluate(() => document.activeElement?.className.includes('help-opener'))).toBe(true);
    await press('Enter');
    expect(await isOpen()).toBe(true);
  });
  it('opens, unfolds and closes where no script runs', async () => {
    await open(false);
    await page.click('.help-opener');
    expect(await isOpen()).toBe(true);
    expect(await page.$eval('.help-search', it => getComputedStyle(it).display)).toBe('none');
    await page.click('.help-entries > :first-child > summary');
    expect(await page.$eval('.help-entries > :first-child', it => it.hasAttribute('open'))).toBe(true);
    await page.click('.help-close');
    expect(await isOpen()).toBe(false);
  });
});

describe('a notice that can be dismissed', () => {
  const shows = () => page.$eval('.notice-box', it => it.checkVisibility());
  it('stays dismissed for whoever did so, until it says something else', async () => {
    await published.it.open(files, 'sailings/');
    await page.evaluate(() => localStorage.clear());
    expect(await shows()).toBe(true);
    await page.focus('.notice-close');
    await press('Enter');
    expect(await shows()).toBe(false);
    await published.it.open(files, 'sailings/');
    expect(await shows()).toBe(false);
    const record = demo.kinds.widget.get('sailings-notice');
    if (!record) throw new Error('no notice');
    const edits = [editOf(record).setIn('content', 'text', richText('The 17:30 sails after all.'))];
    const changed = applyChange(demo, { edits });
    if (!changed.ok) throw new Error(changed.problem.message);
    await published.it.open(publishSite(changed.value.site).files, 'sailings/');
    expect(await shows()).toBe(true);
  });
  it('has nothing to press where no script runs', async () => {
    await published.it.open(files, 'sailings/', false);
    expect(await page.$eval('.notice-close', it => getComputedStyle(it).display)).toBe('none');
  });
});

describe('an embedded page', () => {
  const frames = () => page.$$eval('iframe', all => all.map(it => it.getAttribute('src')));
  const outside = () => published.it.asked.length;

  it('asks nobody for anything before somebody wants to see it, then shows it apart and by its name', async () => {
    await open();
    expect(script('embed')).toHaveLength(1);
    expect(await frames()).toEqual([]);
    await page.focus('.embed-button');
    expect(await page.$eval('.embed-box', it => it.textContent)).toContain('camera.tolvane.example');
    const before = outside();
    await press('Enter');
    expect(await frames()).toEqual(['https://camera.tolvane.example/']);
    const [sandbox, title] = await page.$eval('iframe', it => [it.getAttribute('sandbox') ?? '', it.title]);
    expect(title).toBe('The harbour camera at Hesk');
    // It may run, and may not take the visitor elsewhere (HTML, section 4.8.5).
    expect(sandbox).toContain('allow-scripts');
    expect(sandbox).not.toContain('allow-top-navigation');
    expect(outside()).toBeGreaterThanOrEqual(before);
  });

  it('leads to the page itself without scripts', async () => {
    await open(false);
    expect(await page.$eval('.embed-button', it => it.getAttribute('href'))).toBe(
      'https://camera.tolvane.example/',
    );
    expect(script('embed').length).toBeLessThanOrEqual(1);
  });

  it.each([
    { type: 'url', href: 'http://camera.tolvane.example/' },
    { type: 'mail', address: 'crew@tolvane.example' },
    { type: 'page', page: 'fares' },
  ] as const)('that is found at %j is never shown within, and needs no script', async link => {
    const record = demo.kinds.widget.get('camera');
    if (!record) throw new Error('no camera');
    const edits = [editOf(record).setIn('content', 'link', link)];
    const changed = applyChange(demo, { edits });
    if (!changed.ok) throw new Error(changed.problem.message);
    const other = publishSite(changed.value.site);
    await open(true, other.files);
    expect(script('embed')).toEqual([]);
    await page.evaluate(() =>
      document
        .querySelector<HTMLElement>('.embed-button')
        ?.addEventListener('click', it => it.preventDefault()),
    );
    await page.click('.embed-button');
    expect(await frames()).toEqual([]);
  });
});

describe('what plays', () => {
  it('waits to be asked, is named, and says where its file is', async () => {
    await open();
    const said = await page.$eval('audio', it => ({
      controls: it.controls,
      preload: it.preload,
      autoplay: it.autoplay,
      name: it.getAttribute('aria-label'),
      src: it.getAttribute('src'),
    }));
    expect(said).toEqual({
      controls: true,
      preload: 'none',
      autoplay: false,
      name: 'The bell on the bow',
      src: '../assets/abcdef0123456789.webp',
    });
    expect(published.it.asked.filter(it => it.endsWith('abcdef0123456789.wav'))).toEqual([]);
    expect(await published.it.violations('.audio-box')).toEqual([]);
  });
});
