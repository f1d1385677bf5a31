import { applyChange, type Edit, publishSite, SETTINGS, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import axe from 'axe-core';
import type { Browser, Page } from 'puppeteer-core';
import { addWidget } from '../packages/core/src/commands/index.ts';
import { isItem, WIDGETS } from '../packages/core/src/widgets/index.ts';
import { launchBrowser } from '../scripts/lib/browser.mjs';

const HOST = 'http://published.invalid';
const TYPES: Record<string, string> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css; charset=utf-8',
  js: 'text/javascript; charset=utf-8',
};

const after = (site: Site, edits: readonly Edit[]): Site => {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};

const PAGES = ['begins', 'sample'] as const;
const SHOWN = WIDGETS.filter(it => !isItem(it));

/** The demo with two pages more, each with one of every widget in a section of its own: as it is at first, and as its sample. */
function withAll(): Site {
  let site = tolvane(() => 'abcdef0123456789.webp');
  const look = { variants: {}, wears: {}, styles: {} };
  for (const page of PAGES) {
    const shared = {
      id: page,
      kind: 'page',
      pageKind: 'page',
      path: page,
      title: page,
      description: '',
    } as const;
    const at = { parent: SETTINGS, order: 'zz' };
    site = after(site, [
      { op: 'put', record: { ...shared, at, scheme: null, rebind: {}, unlisted: true } },
      ...SHOWN.map(({ name }, i): Edit => {
        const order = `A${String(i).padStart(3, '0')}V`;
        const section = { id: `${page}-${name}`, kind: 'section', area: 'main', name } as const;
        return {
          op: 'put',
          record: { ...section, at: { parent: page, order }, scheme: null, rebind: {}, ...look },
        };
      }),
    ]);
    for (const { name, sample } of SHOWN) {
      const { edits, id } = addWidget(site, `${page}-${name}`, 0, name);
      site = after(site, edits);
      if (page === 'sample') site = after(site, [{ op: 'set', id, path: ['content'], value: { ...sample } }]);
    }
  }
  return site;
}

let browser: Browser;
let page: Page;
let files: ReadonlyMap<string, string> = new Map();
let errors: string[] = [];
beforeAll(async () => {
  browser = await launchBrowser();
  page = await browser.newPage();
  await page.setRequestInterception(true);
  page.on('pageerror', error => errors.push(String(error)));
  page.on('request', request => {
    if (request.url().startsWith('data:')) return void request.continue();
    const { pathname } = new URL(request.url());
    const path = pathname.slice(1) + (pathname.endsWith('/') ? 'index.html' : '');
    const body = files.get(path);
    void request.respond(
      body === undefined
        ? { status: 404, body: '' }
        : { status: 200, contentType: TYPES[path.split('.').pop() ?? ''] ?? 'text/plain', body },
    );
  });
});
afterAll(() => browser.close());

async function open(site: Site, path: string, scripts = true): Promise<void> {
  files = publishSite(site).files;
  errors = [];
  await page.setJavaScriptEnabled(scripts);
  await page.goto('about:blank');
  await page.goto(`${HOST}/${path}/`);
}
/** What axe-core finds wrong (Deque axe-core, its own rules). */
const violations = async () => {
  await page.evaluate(axe.source);
  return page.evaluate(async () => {
    const run = (globalThis as unknown as { axe: typeof import('axe-core') }).axe.run('main');
    return (await run).violations.map(
      it => `${it.id}: ${it.nodes.map(node => node.target.join(' ')).join('; ')}`,
    );
  });
};
const boxes = async () => {
  // A picture that cannot be had takes another box once that is known.
  await page.$$eval('img', all =>
    Promise.all(
      all.map(it => {
        it.loading = 'eager';
        return it.decode().catch(() => null);
      }),
    ),
  );
  return page.$$eval('main *', all =>
    all.flatMap(it => {
      if (it.getClientRects().length === 0) return [];
      if (['inline', 'contents'].includes(getComputedStyle(it).display) || it.closest('svg')) return [];
      const { left, right, top } = it.getBoundingClientRect();
      return [{ name: `${it.tagName} ${it.className}`, left, right, top }];
    }),
  );
};
/** Words of the page that are laid out, in nothing that is skipped. */
const wordsSeen = () =>
  page.$$eval('main *', all =>
    all
      .filter(it => it.checkVisibility({ contentVisibilityAuto: false }))
      .flatMap(it => [...it.childNodes].filter(node => node.nodeType === Node.TEXT_NODE))
      .map(it => it.textContent?.trim() ?? '')
      .filter(it => it !== ''),
  );

describe.each(PAGES)('a published page with one of every widget, page %s', path => {
  const site = withAll();
  it.each([
    ['wide', 1280],
    ['narrow', 390],
  ])('has nothing that axe-core finds wrong, %s, and nothing that sticks out', async (_, width) => {
    await page.setViewport({ width, height: 900 });
    await open(site, path);
    expect(await page.$$eval('main > *', all => all.length)).toBe(SHOWN.length);
    expect(await violations()).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
    expect(errors).toEqual([]);
  });
  it('says the same where no script runs, and more where something would be closed', async () => {
    await page.setViewport({ width: 1280, height: 900 });
    await open(site, path);
    const there = await wordsSeen();
    await open(site, path, false);
    const without = new Set(await wordsSeen());
    expect(there.length).toBeGreaterThan(SHOWN.length);
    expect(there.filter(it => !without.has(it))).toEqual([]);
  });
  it('is its own mirror image in a language that is written leftward', async () => {
    await page.setViewport({ width: 1280, height: 900 });
    await open(site, path);
    const there = await boxes();
    await open(after(site, [{ op: 'set', id: SETTINGS, path: ['language'], value: 'ar' }]), path);
    const mirrored = await boxes();
    const width = await page.evaluate(() => document.documentElement.clientWidth);
    expect(mirrored.map(it => it.name)).toEqual(there.map(it => it.name));
    const wrong = there.filter((it, i) => {
      const image = mirrored[i];
      return !image || Math.abs(width - image.right - it.left) > 1 || Math.abs(image.top - it.top) > 1;
    });
    expect(wrong).toEqual([]);
  });
});
