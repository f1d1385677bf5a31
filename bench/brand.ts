import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Edit } from '@cove/core';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { Demo } from './demo';
import { longestScript } from './longestScript';
import { head, limit, median } from './statistics';

/** Setting a brand up: opening the picker of a long scale, the colours of a large picture, and the guard on an edit. */
const scratch = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });
const folder = await mkdtemp(join(tmpdir(), 'cove-bench-'));
try {
  const page = await browser.newPage();
  const demo = await Demo.enter(page, scratch.program.address);
  const edits: Edit[] = Array.from({ length: 200 }, (_, i) => ({
    op: 'put',
    record: {
      id: `swatch-${i}`,
      kind: 'token',
      type: 'color',
      group: `Shade ${Math.floor(i / 20) + 1}`,
      name: `Shade ${i + 1}`,
      order: `zz${String(i).padStart(3, '0')}5`,
      value: {
        type: 'color',
        value: { space: 'oklch', coords: [0.3 + (i % 20) / 30, 0.1, i * 1.8], alpha: 1 },
      },
    },
  }));
  await demo.change('bench-swatches', edits);
  await page.goto(`${scratch.program.address}/sites/tolvane/pages/home?node=feature-dogs&part=box&find=fill`);
  await page.waitForSelector('::-p-aria([name="Fill"][role="combobox"])');
  await new Promise(resolve => setTimeout(resolve, 2000));
  console.log(head('Setting up a brand'));
  const opened = await page.evaluate(async () => {
    const field = document.querySelector<HTMLInputElement>('input[role=combobox][aria-label=Fill]');
    const times: number[] = [];
    for (let i = 0; i < 15 && field; i++) {
      field.focus();
      const began = performance.now();
      field.click();
      await new Promise<void>(resolve => {
        const look = () =>
          document.querySelector('[role=option]') ? resolve() : requestAnimationFrame(look);
        look();
      });
      times.push(performance.now() - began);
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
      await new Promise(resolve => setTimeout(resolve, 150));
    }
    return times;
  });
  console.log(limit('opening the picker of 200 swatches more, median', median(opened), 50));

  const [width, height] = [4000, 3000];
  const noise = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#0f4c5c',
      noise: { type: 'gaussian', mean: 110, sigma: 50 },
    },
  })
    .jpeg({ quality: 90 })
    .toFile(join(folder, 'picture.jpg'))
    .then(() => join(folder, 'picture.jpg'));
  await page.goto(`${scratch.program.address}/new`);
  const input = (await page.waitForSelector(
    'input[aria-label="Logo or picture"]',
  )) as ElementHandle<HTMLInputElement> | null;
  const times: number[] = [];
  let longest = 0;
  for (let i = 0; i < 3; i++) {
    await page.$eval('textarea', it => {
      Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(it, '');
      it.dispatchEvent(new Event('input', { bubbles: true }));
    });
    const began = performance.now();
    const script = await longestScript(page, async () => {
      await input?.uploadFile(noise);
      await page.waitForFunction(() => (document.querySelector('textarea')?.value ?? '') !== '', {
        polling: 'raf',
      });
      times.push(performance.now() - began);
    });
    longest = Math.max(longest, script);
  }
  console.log(limit('the colours of a picture of 12 megapixels, median', median(times), 1000));
  console.log(limit('the same: the longest run of script meanwhile', longest, 32));
} finally {
  await browser.close();
  await scratch.end();
  await rm(folder, { recursive: true, force: true });
}
