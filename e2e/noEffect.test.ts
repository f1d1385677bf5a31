import {
  contributionsTo,
  noEffect,
  PROPERTIES,
  type PropertyRow,
  partOf,
  printHtml,
  renderCell,
  samplesIn,
  schemesInOrder,
  specimenRows,
  specimenScope,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { sheetStyles } from './support/comparison.ts';

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await launchBrowser();
  page = await browser.newPage();
});
afterAll(() => browser.close());

/** Values far from what stands there, as CSS text. */
function strangers(row: PropertyRow): string[] {
  const typed = row.accepts.flatMap((type): string[] => {
    if (type === 'dimension') return ['37px'];
    if (type === 'number') return ['3'];
    if (type === 'color') return ['rgb(1, 254, 3)'];
    return [];
  });
  return [...typed, ...(row.keywords ?? []).slice(0, 6)].map(text => row.print?.(text) ?? text);
}

describe('what is said to have no effect', () => {
  it('moves nothing in Chromium, whatever it is set to', async () => {
    const site = tolvane(() => 'abcdef0123456789.webp');
    const [scheme] = schemesInOrder(site);
    if (!scheme) throw new Error('no scheme');
    const column = { id: 'one', label: '', scheme: scheme.id, width: 'wide', state: 'rest' } as const;
    const rows = specimenRows(site);
    const cells = rows.map(row => printHtml(renderCell(site, row, column, row.element.sample, () => '')));
    await page.setViewport({ width: 1280, height: 900 });
    await page.setContent(
      `<!doctype html><head><style>${sheetStyles(site)}</style></head><body class="grid">${cells.join('')}</body>`,
    );
    const found = await page.$$eval('[data-part]', all =>
      all.map(it => ({
        row: it.closest('[data-row]')?.getAttribute('data-row') ?? '',
        variants: it.closest('[data-variants]')?.getAttribute('data-variants') ?? '',
        part: it.getAttribute('data-part') ?? '',
      })),
    );
    const tries = found.flatMap(({ row: id, variants, part }, index) => {
      const row = rows.find(it => it.id === id);
      const worn = row && samplesIn(site, row).find(it => Object.values(it).join(' ') === variants);
      if (!row || !worn || !partOf(row.element, part)) return [];
      const scope = specimenScope(row.element, scheme.id, worn);
      const said = contributionsTo(site, scope, part);
      return PROPERTIES.flatMap(property => {
        const why = noEffect(property, { site, scope, part, said, state: 'rest', width: 'wide' });
        if (why === null) return [];
        const label = `${id} ${part}: ${property.label}, since ${why}`;
        return strangers(property).map(value => ({ index, css: property.css, value, label }));
      });
    });
    expect(tries.length).toBeGreaterThan(500);
    const moved = await page.evaluate(tries => {
      const elements = [...document.querySelectorAll<HTMLElement>('[data-part]')];
      const seen = new Set<string>();
      for (const { index, css, value, label } of tries) {
        const element = elements[index];
        const cell = element?.closest('.cell');
        if (!element || !cell) continue;
        const boxes = () =>
          [...cell.querySelectorAll('*')]
            .map(it => {
              const { x, y, width, height } = it.getBoundingClientRect();
              return [x, y, width, height].map(n => n.toFixed(1)).join(' ');
            })
            .join('|');
        const before = boxes();
        const kept = element.getAttribute('style');
        element.style.setProperty(css, value, 'important');
        if (boxes() !== before) seen.add(`${label} (${value})`);
        if (kept === null) element.removeAttribute('style');
        else element.setAttribute('style', kept);
      }
      return [...seen];
    }, tries);
    expect(moved).toEqual([]);
  });
});
