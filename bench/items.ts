import type { Frame, Page } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { Demo } from './demo';
import { longestScript } from './longestScript';
import { everyKind, listsOn, longPage, tablePage } from './longPage';
import { head, limit, median, quantile } from './statistics';

/** Working on a page of a thousand widgets and three thousand items, and in a table of five hundred rows, on loopback. */
const scratch = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });

/** Begins to write in something on the page. */
const write = async (frame: Frame, selector: string) => {
  await frame.$eval(selector, it => {
    it.scrollIntoView({ block: 'center' });
    for (const type of ['click', 'dblclick']) it.dispatchEvent(new MouseEvent(type, { bubbles: true }));
  });
  await frame.waitForSelector('[contenteditable=true]');
  await new Promise(resolve => setTimeout(resolve, 600));
};

const thingsOn = (frame: Frame): Promise<number> =>
  frame.evaluate(
    () => new Set([...document.querySelectorAll('[data-node]')].map(it => it.getAttribute('data-node'))).size,
  );

/** How long it takes to select each of some things in the outline, until that shows it. */
const selecting = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const rows = [...document.querySelectorAll<HTMLElement>('[aria-label="On this page"] [role=treeitem]')];
    const times: number[] = [];
    for (let i = 0; i < 30; i++) {
      const row = rows[2 + ((i * 7) % (rows.length - 4))];
      if (!row || row.ariaSelected === 'true') continue;
      const began = performance.now();
      row.click();
      await new Promise<void>(resolve => {
        const look = () => (row.ariaSelected === 'true' ? resolve() : requestAnimationFrame(look));
        look();
      });
      times.push(performance.now() - began);
      await new Promise(resolve => setTimeout(resolve, 60));
    }
    return times;
  });

try {
  const page = await browser.newPage();
  const demo = await Demo.enter(page, scratch.program.address);
  await demo.change('bench-long', [...longPage('long'), ...listsOn('long')]);
  await demo.change('bench-table', tablePage('boats', 500));
  const settle = () => new Promise(resolve => setTimeout(resolve, 2000));

  const frame = await demo.open('long');
  await settle();
  console.log(head(`Working on a page of ${await thingsOn(frame)} things, of which 3,000 are items`));
  const selected = await selecting(page);
  console.log(limit('selecting a thing until the bench shows it, median', median(selected), 50));
  console.log(limit('the same, p95', quantile(selected, 0.95), 50));
  await write(frame, '[data-node=long-list-40-12] [data-part=words]');
  const typing = await longestScript(page, () =>
    page.keyboard.type('The boat leaves at six, and the tea with it.', { delay: 30 }),
  );
  console.log(limit('typing into an entry: the longest run of script', typing, 32));
  const next = await longestScript(page, () => page.keyboard.press('Enter'));
  console.log(limit('the next entry by Enter: the longest run of script', next, 32));
  const kept = await longestScript(page, () => page.keyboard.press('Escape'));
  console.log(limit('keeping it: the longest run of script', kept, 32));

  await demo.change('bench-all', everyKind('all'));
  const all = await demo.open('all');
  await settle();
  console.log(head(`Working on a page of ${await thingsOn(all)} things of all kinds`));
  const chosen = await selecting(page);
  console.log(limit('selecting a thing until the bench shows it, median', median(chosen), 50));
  console.log(limit('the same, p95', quantile(chosen, 0.95), 50));
  const dragged = await longestScript(page, async () => {
    await page.keyboard.down('Alt');
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
    await page.keyboard.up('Alt');
  });
  console.log(limit('moving it down by keys: the longest run of script', dragged, 32));
  for (const [button, noun] of [
    ['Add a widget…', 'widget'],
    ['Section', 'section'],
    ['New page', 'page'],
  ] as const) {
    const times: number[] = [];
    for (let i = 0; i < 4; i++) {
      const opener = await page.waitForSelector(`::-p-aria([name="${button}"][role="button"])`);
      const taken = await opener?.evaluate(async it => {
        const began = performance.now();
        if (it instanceof HTMLElement) it.click();
        const drawn = () => {
          const frame = document.querySelector<HTMLIFrameElement>(
            '[aria-label=Library] iframe[title=Pictures]',
          );
          return (frame?.contentDocument?.querySelectorAll('.pic').length ?? 0) > 0;
        };
        while (!drawn()) await new Promise(requestAnimationFrame);
        return performance.now() - began;
      });
      times.push(taken ?? Number.NaN);
      await page.waitForSelector('[role=combobox][aria-controls=library]:focus');
      await page.keyboard.press('Escape');
      await page.waitForSelector('[aria-label=Library]', { hidden: true });
    }
    // The first also fetches the library itself.
    console.log(limit(`opening the library: a ${noun}`, median(times.slice(1)), 400));
  }

  const boats = await demo.open('boats?node=boats-table&part=table');
  await settle();
  console.log(head('A table of 500 rows'));
  await write(boats, '[data-node=boats-row-250] td:nth-child(3)');
  const cell = await longestScript(page, () => page.keyboard.type('about seven', { delay: 30 }));
  console.log(limit('typing into a cell on the page: the longest run of script', cell, 32));
  const below = await longestScript(page, () => page.keyboard.press('Enter'));
  console.log(limit('on to the cell below: the longest run of script', below, 32));
  await page.keyboard.press('Escape');
  await page.evaluate(() => {
    for (const it of document.querySelectorAll('summary'))
      if (it.textContent === 'Content' && it.parentElement instanceof HTMLDetailsElement)
        it.parentElement.open = true;
  });
  await page.locator('::-p-aria([name="Edit as a grid"])').click();
  await page.waitForSelector('[role=grid]');
  await new Promise(resolve => setTimeout(resolve, 1000));
  const moves = await longestScript(page, async () => {
    for (let i = 0; i < 60; i++) await page.keyboard.press(i % 4 === 3 ? 'ArrowRight' : 'ArrowDown');
    await page.keyboard.press('PageDown');
  });
  console.log(limit('walking through the grid: the longest run of script', moves, 32));
  const begun = await longestScript(page, () => page.keyboard.type('08:15', { delay: 30 }));
  console.log(limit('writing in a cell of it: the longest run of script', begun, 32));
  const done = await longestScript(page, () => page.keyboard.press('Enter'));
  console.log(limit('keeping it: the longest run of script', done, 32));
} finally {
  await browser.close();
  await scratch.end();
}
