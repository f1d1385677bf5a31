import { type Edit, SCHEMA, type SiteRecord } from '@cove/core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { head, limit, row } from './statistics';

/** Dragging in the picker with the specimen open on ten schemes: frames a second, beside the bare floor on the same page. */
const SECONDS = 4;
const scratch = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });
try {
  const page = await browser.newPage();
  await page.goto(scratch.program.address);
  await page.locator('::-p-aria([name="Enter the demo"])').click();
  await page.waitForSelector('iframe[title=Specimen]');
  // Six schemes more, so that there are ten columns; and variants of a heading, so that there are forty rows.
  await page.evaluate(async schema => {
    const { records } = (await (await fetch(`/api/sites/tolvane?schema=${schema}`)).json()) as {
      records: SiteRecord[];
    };
    const edits: Edit[] = [];
    const scheme = records.find(it => it.id === 'night-run');
    const look = records.find(it => it.id === 'look-h3');
    for (let i = 0; i < 6 && scheme?.kind === 'scheme'; i++)
      edits.push({
        op: 'put',
        record: { ...scheme, id: `more-${i}`, name: `More ${i}`, order: `y${i + 1}` },
      });
    for (let i = 0; i < 6 && look?.kind === 'variant'; i++)
      edits.push({ op: 'put', record: { ...look, id: `look-${i}`, name: `Look ${i}`, order: `y${i + 1}` } });
    await fetch(`/api/sites/tolvane/changes?schema=${schema}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: 'bench-more', edits }),
    });
  }, SCHEMA);
  await page.goto(`${scratch.program.address}/sites/tolvane/guide`);
  const handle = await page.waitForSelector('iframe[title=Specimen]');
  const frame = await handle?.contentFrame();
  await frame?.waitForSelector('[data-column=more-5]');
  const size = await frame?.evaluate(() => ({
    rows: document.querySelectorAll('.row').length - 1,
    columns: document.querySelectorAll('[role=columnheader]').length - 1,
    elements: document.querySelectorAll('*').length,
  }));
  await page.locator('::-p-aria([name="Swatch Rope"])').click();
  await page.waitForSelector('::-p-aria([name="Lightness"][role="slider"])');

  const run = (ours: boolean) =>
    page.evaluate(
      async (mine, seconds) => {
        const slider = [...document.querySelectorAll<HTMLInputElement>('input[type=range]')].find(
          it => it.labels?.[0]?.textContent === 'Lightness',
        );
        const inside = document.querySelector<HTMLIFrameElement>('iframe[title=Specimen]')?.contentDocument;
        const rule = [...(inside?.adoptedStyleSheets ?? [])]
          .flatMap(sheet => [...sheet.cssRules])
          .find((it): it is CSSStyleRule => it.cssText.startsWith(':where(.grid)'));
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        if (!slider || !rule || !set) throw new Error('nothing to drag');
        const gaps: number[] = [];
        let last = performance.now();
        const end = last + seconds * 1000;
        for (let i = 0; performance.now() < end; i++) {
          const lightness = 0.3 + ((i % 60) / 60) * 0.4;
          if (mine) {
            set.call(slider, String(lightness));
            slider.dispatchEvent(new Event('input', { bubbles: true }));
          } else rule.style.setProperty('--t-rope', `oklch(${lightness} 0.13 312)`);
          await new Promise(resolve => requestAnimationFrame(() => resolve(null)));
          const now = performance.now();
          gaps.push(now - last);
          last = now;
        }
        return gaps;
      },
      ours,
      SECONDS,
    );
  const rate = (gaps: readonly number[]) => (gaps.length / gaps.reduce((sum, it) => sum + it, 0)) * 1000;
  await run(true);
  const floor = rate(await run(false));
  const ours = rate(await run(true));
  console.log(head('Dragging in the picker'));
  console.log(
    row(
      `a frame, ${size?.rows} rows × ${size?.columns} schemes, ${size?.elements} elements`,
      1000 / ours,
      1000 / floor,
      1.5,
    ),
  );
  console.log(limit('frames a second (at least 25)', ours, 25, '/s').replace('at most', 'at least'));
} finally {
  await browser.close();
  await scratch.end();
}
