import {
  applyChange,
  type Edit,
  type PublishedSite,
  pageFolder,
  pagesInOrder,
  parseDeclarations,
  propertyByCss,
  publishSite,
  type Site,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import axe from 'axe-core';
import { HtmlValidate } from 'html-validate';
import { parse, serialize } from 'parse5';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';

const demo = tolvane(() => 'abcdef0123456789.webp');
const HOST = 'http://published.invalid';
let browser: Browser;
let page: Page;
let site: PublishedSite = publishSite(demo);
/** What the page asked of anyone but its own host. */
let strayed: string[] = [];

const TYPES: Record<string, string> = { html: 'text/html; charset=utf-8', css: 'text/css; charset=utf-8' };
beforeAll(async () => {
  browser = await launchBrowser();
  page = await browser.newPage();
  // axe would else measure a colour halfway through a change.
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  await page.setRequestInterception(true);
  page.on('request', request => {
    // A drawn ground is part of the sheet that names it, as the signs of a player are of the browser, and asks nobody.
    if (request.url().startsWith('data:image/svg+xml')) return void request.continue();
    const { origin, pathname } = new URL(request.url());
    if (origin !== HOST) {
      strayed.push(request.url());
      return void request.abort();
    }
    const path = pathname.slice(1) + (pathname.endsWith('/') ? 'index.html' : '');
    const body = site.files.get(path);
    return void request.respond(
      body === undefined
        ? { status: 404, body: '' }
        : { status: 200, contentType: TYPES[path.split('.').pop() ?? ''] ?? 'text/plain', body },
    );
  });
  page.on('dialog', dialog => {
    strayed.push(`dialog ${dialog.message()}`);
    void dialog.dismiss();
  });
});
afterAll(() => browser.close());

function edited(...edits: Edit[]): Site {
  const applied = applyChange(demo, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
}
async function open(published: PublishedSite, path = ''): Promise<void> {
  site = published;
  strayed = [];
  await page.goto(`${HOST}/${path}`);
}

describe('published pages', () => {
  const published = publishSite(demo);
  const html = [...published.files].filter(([path]) => path.endsWith('.html'));

  it('are valid HTML, as html-validate’s standard rules have it', async () => {
    const validator = new HtmlValidate({
      extends: ['html-validate:standard'],
      // HTML, section 6.1, which the rules do not know yet.
      elements: [
        'html5',
        { '*': { attributes: { hidden: { boolean: false, omit: true, enum: ['until-found'] } } } },
      ],
      rules: { 'no-inline-style': 'error', 'long-title': 'off' },
    });
    for (const [path, text] of html) {
      const report = await validator.validateString(text);
      expect({
        path,
        messages: report.results.flatMap(result =>
          result.messages.map(it => `${it.ruleId} ${it.line}: ${it.message}`),
        ),
      }).toEqual({ path, messages: [] });
    }
  });

  it('are what parse5 makes of them, there and back', () => {
    for (const [, text] of html) {
      const once = serialize(parse(text));
      expect(serialize(parse(once))).toBe(once);
    }
  });

  it.each(pagesInOrder(demo).map(it => [it.title, pageFolder(demo, it)]))(
    'axe-core finds nothing on %s',
    async (_, path) => {
      for (const width of [1280, 360]) {
        await page.setViewport({ width, height: 900 });
        await open(published, path);
        await page.evaluate(axe.source);
        const found = await page.evaluate(async () => {
          const { violations } = await (
            globalThis as unknown as { axe: typeof import('axe-core') }
          ).axe.run();
          return violations.map(
            it =>
              `${it.id}: ${it.nodes.map(node => `${node.target.join(' ')} ${node.failureSummary}`).join('; ')}`,
          );
        });
        expect(found).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth > innerWidth)).toBe(false);
      }
    },
  );

  it('have pictures in long texts that stand beside the words or across the column, whole at every width', async () => {
    const measured = async (width: number) => {
      await page.setViewport({ width, height: 900 });
      await open(published, 'islands/');
      return page.evaluate(() => {
        const box = (selector: string) => {
          const { left, right, width, top } = document
            .querySelector(`.longText-box ${selector}`)
            ?.getBoundingClientRect() ?? { left: 0, right: 0, width: 0, top: 0 };
          return { left, right, width, top };
        };
        // A line of text is as wide as there is room beside what floats.
        const words = document.querySelectorAll('.longText-box p')[1]?.firstChild;
        const range = document.createRange();
        if (words) range.selectNodeContents(words);
        const [line] = range.getClientRects();
        return {
          column: box('h2'),
          beside: box('.v-picture-position-2-box'),
          across: box('.v-picture-position-1-box'),
          line: { right: line?.right ?? 0, top: line?.top ?? 0 },
        };
      });
    };
    for (const width of [1280, 961]) {
      const { column, beside, across, line } = await measured(width);
      expect(beside.right).toBeGreaterThan(column.right + 90);
      expect(line.right).toBeLessThan(beside.left);
      expect(Math.abs(line.top - beside.top)).toBeLessThan(24);
      expect(across.width).toBeGreaterThan(column.width + 180);
      expect(across.left).toBeGreaterThanOrEqual(0);
      expect(across.right).toBeLessThanOrEqual(width);
    }
    const medium = await measured(760);
    expect(medium.beside.right).toBeCloseTo(medium.column.right, 0);
    expect(medium.line.right).toBeLessThan(medium.beside.left);
    expect(medium.across.width).toBeCloseTo(medium.column.width, 0);
    const narrow = await measured(360);
    expect(narrow.beside.width).toBeCloseTo(narrow.column.width, 0);
    expect(narrow.line.top).toBeGreaterThan(narrow.beside.top + 100);
  });

  it.each([1280, 820, 360])(
    'cut off nothing at %d px, since nothing is wider than its section',
    async width => {
      await page.setViewport({ width, height: 800 });
      for (const it of pagesInOrder(demo)) {
        await open(published, it.path === '' ? '' : `${it.path}/`);
        const cut = await page.evaluate(() => {
          /** What scrolls along, or lies one beside the other to be brought into view, is wider than what shows it. */
          const scrolls = (from: Element): boolean => {
            for (let at: Element | null = from; at; at = at.parentElement)
              if (['auto', 'scroll', 'hidden'].includes(getComputedStyle(at).overflowX)) return true;
            return false;
          };
          return [
            ...document.querySelectorAll(
              'main p, main h1, main h2, main h3, main li, main a, main img, main td',
            ),
          ]
            .filter(one => one.getBoundingClientRect().right > innerWidth + 1 && !scrolls(one))
            .map(one => `${one.className}: ${one.textContent?.slice(0, 30)}`);
        });
        expect([it.title, ...cut]).toEqual([it.title]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
      }
    },
  );

  it('are whole on paper: grounds stay, nothing sticks or waits, all slides are there, links say where they lead', async () => {
    await page.setViewport({ width: 794, height: 1000 });
    await page.emulateMediaType('print');
    await open(published, 'on-board/');
    const slides = await page.$$eval('.slide-slide', all =>
      all.map(it => {
        const { left, right, top } = it.getBoundingClientRect();
        return { left, right, top };
      }),
    );
    expect(slides.length).toBeGreaterThan(3);
    for (const [i, { left, right, top }] of slides.entries()) {
      expect([left >= 0, right <= 794]).toEqual([true, true]);
      expect(top).toBeGreaterThan(slides[i - 1]?.top ?? Number.NEGATIVE_INFINITY);
    }
    const seen = await page.evaluate(() => {
      const style = (selector: string) => {
        const found = document.querySelector(selector);
        return found && getComputedStyle(found);
      };
      const leads = [...document.querySelectorAll('main a[href^=http]')].map(it => [
        it.getAttribute('href'),
        getComputedStyle(it, '::after').content,
      ]);
      return {
        header: style('.header-box')?.position,
        help: style('.help-help')?.display,
        ground: style('.section-box')?.getPropertyValue('print-color-adjust'),
        leads,
      };
    });
    await page.emulateMediaType('screen');
    expect(seen).toMatchObject({ header: 'relative', help: 'none', ground: 'exact' });
    expect(seen.leads.length).toBeGreaterThan(0);
    for (const [href, words] of seen.leads) expect(words).toContain(href ?? '-');
  });

  it('have a dark version, if that is wanted, for whoever asks for one, which can be read as well', async () => {
    const set = (id: string, field: string, value: string | true): Edit => ({
      op: 'set',
      id,
      path: [field],
      value,
    });
    const wanted = edited(
      set('daymark', 'counterpart', 'night-run'),
      set('night-run', 'counterpart', 'daymark'),
      set('settings', 'darkVersion', true),
    );
    const ground = () =>
      page.$eval('body', it => [getComputedStyle(it).backgroundColor, getComputedStyle(it).colorScheme]);
    const asking = (value: 'light' | 'dark') =>
      page.emulateMediaFeatures([
        { name: 'prefers-color-scheme', value },
        { name: 'prefers-reduced-motion', value: 'reduce' },
      ]);
    // A page on which nothing has a colour of its own: what has one is told by the guard.
    await open(publishSite(wanted), 'sailings/');
    await asking('light');
    const light = await ground();
    await asking('dark');
    const dark = await ground();
    expect([light[1], dark[1]]).toEqual(['light', 'dark']);
    expect(dark[0]).not.toBe(light[0]);
    await page.evaluate(axe.source);
    const found = await page.evaluate(async () => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') };
      const { violations } = await axe.run(document, { runOnly: ['color-contrast'] });
      return violations.flatMap(it => it.nodes.map(node => node.html));
    });
    await asking('light');
    expect(found).toEqual([]);
  });

  it('have native controls that are light or dark as what they stand on', async () => {
    await open(published);
    const faces = await page.$$eval('main > section', all =>
      all.map(it => [it.className.match(/ s-([\w-]+)/)?.[1] ?? 'daymark', getComputedStyle(it).colorScheme]),
    );
    for (const [scheme, face] of faces)
      expect([scheme, face]).toEqual([scheme, demo.kinds.scheme.get(scheme ?? '')?.face]);
    expect(new Set(faces.map(([, face]) => face)).size).toBe(2);
  });

  it('have cards that are clicked as a whole, where that is chosen', async () => {
    await page.setViewport({ width: 1280, height: 800 });
    await open(published, 'on-board/');
    const leads = await page.$$eval('.card-box[data-whole]', all =>
      all.map(card => {
        card.scrollIntoView({ block: 'center' });
        const { left, top } = card.getBoundingClientRect();
        const hit = document.elementFromPoint(left + 4, top + 4);
        return [hit?.className.includes('card-link'), hit?.getAttribute('href')];
      }),
    );
    expect(leads).toEqual(Array(3).fill([true, '../fares/']));
    await page.click('.card-box[data-whole] .card-text');
    expect(page.url()).toBe(`${HOST}/fares/`);
  });

  it('ask nothing of any other host, and run nothing but the modules of their widgets', async () => {
    for (const it of pagesInOrder(demo)) {
      await open(published, pageFolder(demo, it));
      expect(strayed).toEqual([]);
      const scripts = await page.$$eval('script', all => all.map(it => it.outerHTML));
      for (const it of scripts)
        expect(it).toMatch(/^<script type="module" src="[./]*behaviours\/\w+-\w+\.js"><\/script>$/);
      const wanted: Record<string, string[]> = {
        sailings: ['notice', 'tabs'],
        'on-board': ['embed', 'gallery', 'help', 'slides'],
        ...Object.fromEntries(['hesk', 'little-hesk', 'carrow', 'sant-bree'].map(it => [it, ['gallery']])),
      };
      // The header comes back and has menus, on every page.
      expect(scripts.map(script => /behaviours\/(\w+)-/.exec(script)?.[1]).sort()).toEqual(
        [...(wanted[it.path] ?? []), 'header', 'navigation'].sort(),
      );
    }
  });

  it('can be walked by keyboard: the first stop skips to the content', async () => {
    await page.setViewport({ width: 1280, height: 900 });
    await open(published);
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Skip to content');
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Tolvane Ferries');
    expect(
      await page.evaluate(() => getComputedStyle(document.activeElement ?? document.body).outlineStyle),
    ).toBe('solid');
  });
});

/** Markup, script addresses, quotes, braces and CSS escapes of our own making, in every place that takes what is typed. */
describe('what people type reaches the published page only as harmless text or not at all', () => {
  const NASTY = [
    '<script>alert(1)</script>',
    '"><img src=x onerror=alert(1)>',
    "'><svg onload=alert(1)>",
    '</style><script>alert(1)</script>',
    '</title><script>alert(1)</script>',
    '{}} body{display:none} /*',
    '\\3c script\\3e alert(1)\\3c/script\\3e',
    'javascript:alert(1)',
    '&lt;script&gt;alert(1)&lt;/script&gt;',
    '<!--',
    ']]><script>alert(1)</script>',
    '\u2028\u202e<b>',
  ];

  it.each(NASTY)('%j as words, names, titles and descriptions', async text => {
    await open(
      publishSite(
        edited(
          { op: 'set', id: 'welcome-title', path: ['content', 'text'], value: text },
          { op: 'set', id: 'welcome-lead', path: ['content', 'text'], value: [[{ text, strong: true }]] },
          { op: 'set', id: 'book', path: ['content', 'label'], value: text },
          { op: 'set', id: 'welcome-picture', path: ['content', 'alt'], value: text },
          { op: 'set', id: 'head-nav', path: ['content', 'label'], value: text },
          { op: 'set', id: 'sailings', path: ['title'], value: text },
          { op: 'set', id: 'home', path: ['description'], value: text },
          { op: 'set', id: 'settings', path: ['name'], value: text },
          { op: 'set', id: 'hull', path: ['name'], value: text.slice(0, 80) },
          { op: 'set', id: 'ticket', path: ['name'], value: text.slice(0, 80) },
        ),
      ),
    );
    expect(strayed).toEqual([]);
    expect(await page.$eval('h1', it => it.textContent)).toBe(text);
    expect(await page.$eval('.picture-picture', it => it.getAttribute('alt'))).toBe(text);
    expect((await page.title()).trim()).toBe(text.trim());
    expect(
      await page.$$eval(
        'script:not([src^=behaviours]), svg:not(nav svg), body style, h1 *, [onerror], [onload]',
        found => found.map(it => it.outerHTML),
      ),
    ).toEqual([]);
    expect(await page.$$eval('style', all => all.length)).toBe(1);
    expect(await page.evaluate(() => getComputedStyle(document.body).display)).toBe('block');
  });

  it.each(NASTY)('%j as a link, a value, a family, or own declarations is refused', text => {
    const refused = (edit: Edit) => expect(applyChange(demo, { edits: [edit] }).ok).toBe(false);
    refused({ op: 'set', id: 'book', path: ['content', 'link'], value: { type: 'url', href: text } });
    refused({ op: 'set', id: 'book', path: ['content', 'link'], value: { type: 'mail', address: text } });
    refused({
      op: 'set',
      id: 'book',
      path: ['styles', 'box/color'],
      value: { type: 'keyword', value: text },
    });
    refused({ op: 'set', id: 'display', path: ['value'], value: { type: 'fontFamily', value: [text] } });
    refused({ op: 'set', id: 'book', path: ['styles', `box/${text}`], value: { type: 'number', value: 1 } });
    refused({ op: 'set', id: 'home', path: ['path'], value: text });
    refused({ op: 'put', record: { id: text, kind: 'preset', name: 'x', order: 'V', styles: {} } });
    expect(parseDeclarations(`color: ${text}`, demo.kinds.token, propertyByCss).ok).toBe(false);
  });
});

/** How wide each picture is said to be at most and how wide it is drawn, in px; `part` names it. */
const drawnPictures = () =>
  page.$$eval('img[sizes]', all =>
    all.map(img => {
      if (!(img instanceof HTMLImageElement)) throw new Error('no picture');
      // One length for each condition, the first that holds counts (HTML, section 4.8.4.2.2).
      const lengths: string[] = [''];
      let depth = 0;
      for (const letter of img.sizes) {
        if (letter === '(') depth++;
        if (letter === ')') depth--;
        if (letter === ',' && depth === 0) lengths.push('');
        else lengths[lengths.length - 1] += letter;
      }
      const held = lengths
        .map(it => /^(?:(\(max-width:\d+px\)) )?(.+)$/.exec(it.trim()))
        .find(it => it?.[1] === undefined || matchMedia(it[1]).matches);
      const probe = document.createElement('div');
      probe.style.cssText = `position:fixed;width:${held?.[2]}`;
      document.body.append(probe);
      const said = probe.offsetWidth;
      probe.remove();
      const { offsetWidth, offsetHeight } = img;
      const ratio = Number(img.getAttribute('width')) / Number(img.getAttribute('height'));
      const covers = getComputedStyle(img).objectFit === 'cover';
      const drawn = covers ? Math.max(offsetWidth, offsetHeight * ratio) : offsetWidth;
      return { part: img.className.split(' ')[0], said, drawn: Math.round(drawn) };
    }),
  );

describe('pictures on published pages', () => {
  const published = publishSite(demo);
  const paths = [...published.files.keys()].filter(it => it.endsWith('index.html'));

  it('come in a modern format with a fallback, and every file that is named is made', async () => {
    const made = new Set([
      ...published.renditions.map(it => it.file),
      ...published.assets.map(it => it.file),
    ]);
    const html = paths.map(it => published.files.get(it)).join('');
    const named = [...html.matchAll(/assets\/([\w.-]+)/g)].map(it => it[1] ?? '');
    expect(named.filter(it => !made.has(it))).toEqual([]);
    await open(published, 'on-board/');
    const chosen = await page.$$eval('picture img', all =>
      all.map(it => (it instanceof HTMLImageElement ? it.currentSrc : '')),
    );
    expect(chosen.length).toBeGreaterThan(8);
    // Chromium knows AVIF, so it takes that; the fallback of the very same picture is what `src` says.
    expect(chosen.filter(it => it !== '' && !it.endsWith('.avif'))).toEqual([]);
    expect(html).toMatch(/<img [^>]*src="assets\/abcdef0123456789\.webp" srcset="[^"]*-960\.webp 960w/);
  });

  it.each([1280, 800, 400])(
    'say how wide they are drawn in a window of %i px, as Chromium lays them out',
    async width => {
      await page.setViewport({ width, height: 800 });
      const off: unknown[] = [];
      let seen = 0;
      for (const path of paths) {
        await open(published, path.replace('index.html', ''));
        for (const it of await drawnPictures()) {
          seen++;
          if (it.said < it.drawn - 2 || it.said > it.drawn * 1.05 + 2) off.push({ path, ...it });
        }
      }
      await page.setViewport({ width: 1280, height: 800 });
      expect(off).toEqual([]);
      expect(seen).toBeGreaterThan(12);
    },
  );
});
