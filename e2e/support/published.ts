import { afterAll, beforeAll } from '@jest/globals';
import axe from 'axe-core';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '../../scripts/lib/browser.mjs';

const HOST = 'http://published.invalid';
const TYPES: Record<string, string> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css; charset=utf-8',
  js: 'text/javascript; charset=utf-8',
};

/** A browser in which files that were published are found at an address, and nothing else is. */
export class PublishedPages {
  /** Paths that were asked for since a page was opened. */
  asked: string[] = [];
  errors: string[] = [];
  private files: ReadonlyMap<string, string> = new Map();

  private constructor(
    private readonly browser: Browser,
    readonly page: Page,
  ) {}

  static async launch(): Promise<PublishedPages> {
    const browser = await launchBrowser();
    const page = await browser.newPage();
    const published = new PublishedPages(browser, page);
    await page.setRequestInterception(true);
    page.on('pageerror', error => published.errors.push(String(error)));
    page.on('request', request => {
      if (request.url().startsWith('data:')) return void request.continue();
      const { pathname } = new URL(request.url());
      const path = pathname.slice(1) + (pathname.endsWith('/') ? 'index.html' : '');
      published.asked.push(path);
      const body = published.files.get(path);
      void request.respond(
        body === undefined
          ? { status: 404, body: '' }
          : { status: 200, contentType: TYPES[path.split('.').pop() ?? ''] ?? 'text/plain', body },
      );
    });
    return published;
  }

  close(): Promise<void> {
    return this.browser.close();
  }

  async open(files: ReadonlyMap<string, string>, path: string, scripts = true): Promise<void> {
    this.files = files;
    this.asked = [];
    this.errors = [];
    await this.page.setJavaScriptEnabled(scripts);
    await this.page.goto('about:blank');
    await this.page.goto(`${HOST}/${path}`);
  }

  /** Has everything stand there in its own looks: what is out of sight is skipped, and would be on its way to them once it is asked for. */
  private async settle(): Promise<void> {
    await this.page.addStyleTag({
      content:
        '*,*::details-content{content-visibility:visible!important;transition:none!important;animation:none!important}',
    });
  }

  /** What axe-core finds wrong with the page, or with a part of it; by one of its rules, or by all. */
  async violations(within = 'html', rule?: string): Promise<string[]> {
    await this.settle();
    await this.page.evaluate(axe.source);
    return this.page.evaluate(
      async (selector, only) => {
        const { axe: run } = globalThis as unknown as { axe: typeof import('axe-core') };
        const found = run.run(selector, only === undefined ? {} : { runOnly: [only] });
        return (await found).violations.map(
          it => `${it.id}: ${it.nodes.map(node => node.target.join(' ')).join('; ')}`,
        );
      },
      within,
      rule,
    );
  }

  /** Where the boxes of all elements stand that have one, once every picture is there or known to be missing. */
  async boxes(within = 'body'): Promise<{ name: string; left: number; right: number; top: number }[]> {
    await this.page.$$eval('img', all =>
      Promise.all(
        all.map(it => {
          it.loading = 'eager';
          return it.decode().catch(() => null);
        }),
      ),
    );
    await this.settle();
    return this.page.$$eval(`${within} *`, all => {
      return all.flatMap(it => {
        if (it.getClientRects().length === 0) return [];
        if (['inline', 'contents'].includes(getComputedStyle(it).display) || it.closest('.skip, svg'))
          return [];
        const { left, right, top } = it.getBoundingClientRect();
        return [{ name: `${it.tagName} ${it.className}`, left, right, top }];
      });
    });
  }

  /** Of boxes before and after a page was turned around: those that do not stand where their mirror image has them. */
  async unmirrored(
    there: Awaited<ReturnType<PublishedPages['boxes']>>,
    mirrored: typeof there,
  ): Promise<{ there: (typeof there)[number]; mirrored: (typeof there)[number] | undefined }[]> {
    const width = await this.page.evaluate(() => document.documentElement.clientWidth);
    return there.flatMap((it, i) => {
      const image = mirrored[i];
      const isImage =
        image && Math.abs(width - image.right - it.left) <= 1 && Math.abs(image.top - it.top) <= 1;
      return isImage ? [] : [{ there: it, mirrored: image }];
    });
  }
}

/** One for a file of tests. */
export function publishedPages(): { readonly it: PublishedPages } {
  const held: { it: PublishedPages | null } = { it: null };
  beforeAll(async () => {
    held.it = await PublishedPages.launch();
  });
  afterAll(() => held.it?.close());
  return {
    get it() {
      if (!held.it) throw new Error('no browser yet');
      return held.it;
    },
  };
}
