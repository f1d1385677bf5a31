import { pagesInOrder, renderPreview, type Site, type State, WIDTHS } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser, CDPSession, Page } from 'puppeteer-core';
import { howMuch, seedsFrom } from '../packages/core/test/support/random.ts';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { BASES, compareColumn, comparePage, sheetStyles, withPointer } from './support/comparison.ts';
import { generatedSite } from './support/generatedSite.ts';

const SEEDS = seedsFrom(100, howMuch(1, 50));
const demo = tolvane(() => 'abcdef0123456789.webp');

let browser: Browser;
let page: Page;
let cdp: CDPSession;
beforeAll(async () => {
  browser = await launchBrowser();
  page = await browser.newPage();
  await page.setRequestInterception(true);
  page.on('request', request => (request.url().startsWith('https:') ? request.abort() : request.continue()));
  cdp = await page.createCDPSession();
});
afterAll(() => browser.close());

/** Every element of a site is compared in every state; the limit has to hold on a machine that does much beside. */
const LONG = 900_000;

/** CSS Cascading and Inheritance Level 5, as Chromium carries it out, against the core's own cascade. */
describe('what the core computes is what Chromium computes', () => {
  const sites: [string, Site][] = [
    ['the demo', demo],
    ...SEEDS.map((seed): [string, Site] => [`generated site, seed ${seed}`, generatedSite(seed)]),
  ];
  it.each(sites)(
    'on every page of %s, at every width, at rest and in every state',
    async (name, site) => {
      let compared = 0;
      for (const record of pagesInOrder(site))
        for (const width of WIDTHS)
          for (const state of ['rest', 'hover', 'focus', 'pressed'] as const satisfies readonly State[]) {
            if (name !== 'the demo' && width === 'medium' && state !== 'rest') continue;
            const result = await comparePage(
              page,
              cdp,
              site,
              record,
              renderPreview(site, record, BASES),
              width,
              state,
            );
            expect({ name, page: record.id, differences: result.differences }).toEqual({
              name,
              page: record.id,
              differences: [],
            });
            compared += result.compared;
          }
      expect(compared).toBeGreaterThan(500);
    },
    LONG,
  );

  it.each(sites.slice(0, 2))(
    'in every column of the specimen of %s',
    async (_, site) => {
      const styles = sheetStyles(site);
      for (const scheme of site.kinds.scheme.keys())
        for (const [width, state] of [
          ['wide', 'rest'],
          ['medium', 'rest'],
          ['narrow', 'rest'],
          ['wide', 'hover'],
          ['narrow', 'focus'],
          ['medium', 'pressed'],
          ['wide', 'selected'],
        ] as const) {
          const { differences, compared } = await compareColumn(
            page,
            site,
            { id: 'c', label: 'c', scheme, width, state },
            styles,
          );
          expect(differences).toEqual([]);
          expect(compared).toBeGreaterThan(20);
        }
    },
    LONG,
  );

  it('under a real pointer', async () => {
    const record = pagesInOrder(demo)[0];
    if (!record) throw new Error('no page');
    await page.setViewport({ width: 1280, height: 900 });
    await page.setContent(
      withPointer(renderPreview(demo, record, BASES)).replace(
        '</head>',
        '<style>*{transition-property:none!important}</style></head>',
      ),
    );
    const ground = () =>
      page.$eval('[data-node=today]', element => getComputedStyle(element).backgroundColor);
    const rest = await ground();
    await page.hover('[data-node=today]');
    // Night run binds the second button's fill on hover to Hull, #2a3a5f.
    expect(await ground()).toBe('rgb(42, 58, 95)');
    expect(rest).not.toBe('rgb(42, 58, 95)');
  });
});

describe('a planted error is caught', () => {
  const record = pagesInOrder(demo)[0];
  if (!record) throw new Error('no page');
  const html = renderPreview(demo, record, BASES);
  it.each<[string, string, string]>([
    ['a value that is another', html.replace('column-gap:var(--t-space-3)', 'column-gap:7px'), 'rest'],
    [
      'a layer in the wrong place',
      html.replace(/@layer base,(.*?),(c0-0-200000),/, '@layer base,$2,$1,'),
      'rest',
    ],
    ['a rule that is missing', html.replace(/\.o-welcome-words-box/g, '.o-nobody-box'), 'rest'],
    [
      'a rule that matches too much',
      html.replace(':where(.v-kind-outlined-box)', ':where(.button-box)'),
      'rest',
    ],
    ['a state that does not show', html.replace(/\.button-box:hover/g, '.button-box:nothing'), 'hover'],
    [
      'a scheme that lost a role',
      html.replaceAll('--r-mainFill:var(--t-lamp)', '--r-mainFill:var(--t-hull)'),
      'rest',
    ],
    ['a browser’s own margin that nobody undoes', html.replace(/margin-bottom:0px;/g, ''), 'rest'],
  ])('%s', async (_, tampered, state) => {
    expect(tampered).not.toBe(html);
    const { differences } = await comparePage(
      page,
      cdp,
      demo,
      record,
      tampered,
      'wide',
      state === 'hover' ? 'hover' : 'rest',
    );
    expect(differences.length).toBeGreaterThan(0);
  });

  it('in the specimen too', async () => {
    const column = { id: 'c', label: 'c', scheme: 'daymark', width: 'narrow', state: 'rest' } as const;
    const styles = sheetStyles(demo);
    const tampered = styles.replace(
      /\[data-width=narrow\] \.v-look-h1-text/g,
      '[data-width=wide] .v-look-h1-text',
    );
    expect(tampered).not.toBe(styles);
    expect((await compareColumn(page, demo, column, tampered)).differences.length).toBeGreaterThan(0);
  });
});
