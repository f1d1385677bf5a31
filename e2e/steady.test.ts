import { expect, it } from '@jest/globals';
import { SITES, walkDemo } from './support/program.ts';

const demo = walkDemo();
const LATE = 2000;

/** How much a page moves by itself while it is read to its end, as browsers measure it (Layout Instability). */
async function shiftOf(path: string, width: number): Promise<number> {
  const page = await demo.walker.page.browser().newPage();
  await page.setViewport({ width, height: 800 });
  await page.setCacheEnabled(false);
  await page.setRequestInterception(true);
  page.on('request', request => {
    const late = new URL(request.url()).pathname.includes('/fonts/') ? LATE : 0;
    setTimeout(() => void request.continue(), late);
  });
  await page.evaluateOnNewDocument(() => {
    const seen = { shift: 0 };
    Object.assign(window, { seen });
    new PerformanceObserver(list => {
      for (const it of list.getEntries()) if ('value' in it) seen.shift += Number(it.value);
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto(`${SITES}/tolvane/${path}`, { waitUntil: 'networkidle0' });
  expect(await page.evaluate(() => [...document.fonts].some(it => it.status === 'loaded'))).toBe(true);
  const shift = await page.evaluate(async () => {
    const rest = (ms: number) => new Promise(resolve => setTimeout(resolve, ms));
    for (let y = 0; y < document.documentElement.scrollHeight; y += 400) {
      scrollTo(0, y);
      await rest(60);
    }
    await rest(300);
    const { shift } = Reflect.get(window, 'seen');
    return Number(shift);
  });
  await page.close();
  return shift;
}

it('a published page stays where it is though its fonts come two seconds late, as far as its end', async () => {
  const { walker } = demo;
  await walker.open('release');
  await walker.click('Publish');
  await walker.page.waitForSelector('iframe[title="Release 1"]', { timeout: 15_000 });
  for (const width of [1280, 820, 360])
    for (const path of ['', 'on-board/'])
      expect([width, path, await shiftOf(path, width)]).toEqual([width, path, expect.closeTo(0, 2)]);
});
