import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { longestScript } from './longestScript';
import { head, limit, median, quantile } from './statistics';

/** Dragging a swatch of the large demo: when its reach is told once the pointer rests, and what that costs meanwhile. */
const scratch = await startScratch({ environment: { COVE_DEMO: 'large', COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });

declare global {
  /** When the reach of a change was last answered, and how often. */
  var coveTold: { at: number; times: number };
}

try {
  const page = await browser.newPage();
  await page.goto(scratch.program.address);
  await page.locator('::-p-aria([name="Enter the demo"])').click();
  await page.waitForSelector('iframe[title=Specimen]');
  await page.evaluateOnNewDocument(() => {
    globalThis.coveTold = { at: 0, times: 0 };
    const Before = Worker;
    globalThis.Worker = class extends Before {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        this.addEventListener('message', ({ data }) => {
          // What was answered is drawn with the next frame.
          if (data !== null && typeof data === 'object' && 'forecast' in data)
            requestAnimationFrame(() => {
              coveTold = { at: performance.now(), times: coveTold.times + 1 };
            });
        });
      }
    };
  });
  await page.goto(`${scratch.program.address}/sites/tolvane-large/guide?token=hull`);
  await page.waitForSelector('::-p-aria([name="Lightness"][role="slider"])', { timeout: 60_000 });
  await new Promise(resolve => setTimeout(resolve, 8000));
  console.log(head('Dragging a swatch of the large demo'));

  /** Moves the slider for a while, rests, and says how long after the last move the reach was told. */
  const drag = () =>
    page.evaluate(async () => {
      const slider = [...document.querySelectorAll<HTMLInputElement>('input[type=range]')].find(
        it => it.labels?.[0]?.textContent === 'Lightness',
      );
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      for (let i = 0; i < 40; i++) {
        set?.call(slider, String(0.25 + ((i * 7) % 40) / 100));
        slider?.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise(resolve => requestAnimationFrame(resolve));
      }
      const rested = performance.now();
      const { times } = coveTold;
      while (coveTold.times === times) await new Promise(resolve => setTimeout(resolve, 2));
      return coveTold.at - rested;
    });

  await drag();
  await new Promise(resolve => setTimeout(resolve, 4000));
  const told: number[] = [];
  let longest = 0;
  for (let i = 0; i < 8; i++)
    longest = Math.max(
      longest,
      await longestScript(page, async () => {
        told.push(await drag());
      }),
    );
  console.log(limit('the reach told after the pointer rests, median', median(told), 100));
  console.log(limit('the same, p95', quantile(told, 0.95), 100));
  console.log(limit('the longest run of script while dragging', longest, 32));
} finally {
  await browser.close();
  await scratch.end();
}
