import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { lengthInPx } from '@cove/core';
import { readTokens } from '@cove/core/incoming';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import type { ElementHandle } from 'puppeteer-core';
import { until, type Walker, walkDemo } from './support/program.ts';

const demo = walkDemo();
let walker: Walker;
const folder = mkdtempSync(join(tmpdir(), 'cove-incoming-'));
beforeAll(() => {
  walker = demo.walker;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const px = (value: number) => ({ value, unit: 'px' });
const COLORS = {
  color: {
    $type: 'color',
    brand: {
      hull: { $value: '#24365f' },
      buoy: { $value: { colorSpace: 'srgb', components: [0.85, 0.25, 0.2] } },
      gone: { $value: '{color.brand.kelp}' },
    },
  },
};
const SHAPES = {
  frame: { $type: 'border', $value: { color: '{color.brand.buoy}', width: px(2), style: 'dashed' } },
  bend: { soft: { $type: 'dimension', $value: px(6) } },
};
const CSS = ':root { --tide-high: #1d4e68; --tide-low: #cfe3ea; --tide-mark: var(--tide-high) }';
const PAGE = `<!doctype html><title>Quay</title><style>
body { font: 18px/1.5 "Skipper's Hand", serif; color: #1d2433; background: #fdfbf7 }
h1 { font-size: 40px; color: #1d2434; margin: 0 0 24px }
a { color: #0f6b5c; padding: 8px; border-radius: 6px; box-shadow: 0 1px 5px 0 rgb(0 0 0 / .2) }
</style><p style="color:#1d2433;margin:24px 0">On time</p>`;
const FACES =
  ':root { --bg: #fdfbf7; --fg: #1d2433 } @media (prefers-color-scheme: dark) { :root { --bg: #10151f; --fg: #e8edf5 } }';

const put = (name: string, text: string): string => {
  const path = join(folder, name);
  mkdirSync(join(path, '..'), { recursive: true });
  writeFileSync(path, text);
  return path;
};

async function open(label: string, ...paths: string[]): Promise<void> {
  const input = await walker.page.waitForSelector(`input[type=file][aria-label="${label}"]`);
  if (!input) throw new Error(label);
  await (input as ElementHandle<HTMLInputElement>).uploadFile(...paths);
}
const rows = () =>
  walker.page.$$eval('ul[aria-label="Tokens found"] li', all => all.map(it => it.textContent ?? ''));
const row = (words: string) =>
  until(rows, all => all.some(it => it.includes(words)), `${words} among what was found`);
const tick = (words: string) =>
  walker.page.$$eval(
    'ul[aria-label="Tokens found"] label',
    (all, wanted) =>
      all
        .find(it => it.textContent?.includes(wanted))
        ?.querySelector('input')
        ?.click(),
    words,
  );
async function undone(): Promise<void> {
  await walker.kept();
  await walker.click('Undo');
  await walker.kept();
}

describe('tokens from elsewhere', () => {
  it('of several files are drawn beside the guide, with what could not be read; taken one by one', async () => {
    await walker.click('Paste or import…');
    await open(
      'Files of tokens or colours',
      put('color.json', JSON.stringify(COLORS, null, 2)),
      put('shapes.json', JSON.stringify(SHAPES, null, 2)),
    );
    await walker.says('2 files');
    await row('#2a3a5f→becomes#24365f');
    await walker.says('Adds 3, updates 1.');
    await walker.says('would look different');
    await walker.click('1 value could not be read');
    await walker.says('There is no token color.brand.kelp.');
    await walker.says('color.json, line');
    await walker.click('All 4');
    // The frame names the buoy, which comes along though it is not chosen.
    await tick('Hull');
    await tick('Buoy');
    await tick('Soft');
    await walker.says('Adds 2.');
    await walker.says('1 token that the chosen ones refer to comes along.');
    await walker.click('Import 2');
    await walker.says('Buoy');
    await undone();
  });

  it('of a zip and of a folder are found in it; taken twice, nothing is added', async () => {
    const zip = join(folder, 'brand.zip');
    writeFileSync(
      zip,
      zipSync({
        'brand/tokens/color.json': strToU8(JSON.stringify(COLORS)),
        'brand/readme.md': strToU8('# Brand'),
        'brand/node_modules/other/tokens.json': strToU8('{"x":{"$type":"number","$value":1}}'),
      }),
    );
    await walker.click('Paste or import…');
    await open('Files of tokens or colours', zip);
    await walker.says('brand/tokens/color.json');
    await walker.says('Adds 1, updates 1.');
    await walker.click('Close the file');
    put('site/css/tide.css', CSS);
    await open('A folder of tokens', join(folder, 'site'));
    await walker.says('Custom properties');
    await walker.says('Adds 3.');
    await walker.click('Import 3');
    await walker.kept();
    await walker.click('Paste or import…');
    await open('A folder of tokens', join(folder, 'site'));
    await walker.says('The guide has all of this already.');
    await walker.page.keyboard.press('Escape');
    await undone();
  });

  it('of a style sheet with a dark block bring a scheme of its colours', async () => {
    await walker.click('Paste or import…');
    await open('Files of tokens or colours', put('faces.css', FACES));
    await row('Schemes');
    await row('Dark2 colours');
    await walker.click('Import 5');
    await walker.kept();
    await walker.click('Scheme Dark', 'button');
    await walker.page.keyboard.press('Escape');
    await undone();
  });

  it('of a page without any are proposed: a palette, scales and voices with how often they are used', async () => {
    await walker.click('Paste or import…');
    await open('Files of tokens or colours', put('quay.html', PAGE));
    await walker.says('Survey of declarations');
    await row('Palette3 of 3');
    await row('Dark blue');
    await row('3 uses');
    await row('24 px');
    await row('Skipper');
    expect((await rows()).join()).not.toMatch(/Background|1px 5px/i);
    await walker.page.keyboard.press('Escape');
  });

  it('are brought in from the palette too', async () => {
    await walker.click('Find', 'button');
    await walker.page.waitForSelector('[cmdk-input]');
    await walker.page.keyboard.type('import css');
    await walker.page.locator('::-p-text(Import into the guide: design tokens)').click();
    await walker.says('Colours, design tokens, style sheets or a site');
    expect(await walker.violations()).toEqual([]);
    await walker.page.keyboard.press('Escape');
    await until(
      async () => new URL(walker.page.url()).search,
      query => query === '',
      'the sheet is closed',
    );
  });

  it('that are broken, or no tokens at all, change nothing and say so', async () => {
    await walker.click('Paste or import…');
    await open('Files of tokens or colours', put('broken.zip', 'no archive'));
    await walker.says('broken.zip cannot be unpacked. It may be broken.');
    await open('Files of tokens or colours', put('broken.json', '{\n  "a": {,\n}'));
    await walker.says('This is not JSON: line 2, column 9. Nothing was imported.');
    await open('Files of tokens or colours', put('notes.pdf', 'x'));
    await walker.says('notes.pdf is neither JSON, nor CSS, nor a page, nor a zip of them.');
    expect(
      await walker.page.$$eval('[role=dialog] button', all => all.at(-1)?.hasAttribute('disabled')),
    ).toBe(true);
    await walker.page.keyboard.press('Escape');
    expect(demo.errors).toEqual([]);
  });
});

describe('sums of lengths', () => {
  it('come to what Chromium computes', async () => {
    const sums = [
      'calc(0.375rem - 1px)',
      'calc(2 * (4px + 0.5rem))',
      'calc(10rem / 3)',
      'calc(100px - 20px - 3px * 2)',
      'calc(-2 * calc(1px - 9px))',
      'min(10rem, 40px, 2 * 30px)',
      'max(1rem, calc(0.5rem * 3), 23px)',
    ];
    const sheet = `:root { ${sums.map((it, i) => `--space-${i}: ${it};`).join(' ')} }`;
    const read = readTokens([{ name: 'sums.css', text: sheet }]);
    if (!read.ok) throw new Error(read.problem.message);
    const ours = read.value.items.map(({ record }) =>
      record.kind === 'token' && record.value.type === 'dimension' ? lengthInPx(record.value.value) : null,
    );
    const theirs = await walker.page.evaluate(
      all =>
        all.map(width => {
          const box = document.createElement('div');
          box.style.cssText = `position: absolute; width: ${width}`;
          document.body.append(box);
          const px = Number.parseFloat(getComputedStyle(box).width);
          box.remove();
          return px;
        }),
      sums,
    );
    expect(theirs).toHaveLength(sums.length);
    // Chromium lays out in parts of 1/64 px.
    for (const [i, px] of theirs.entries())
      expect(Math.abs((ours[i] ?? Number.NaN) - px)).toBeLessThan(1 / 64);
  });
});
