import {
  type Color,
  contrast,
  contrastTable,
  type Edit,
  editAt,
  type Id,
  paintedBytes,
  parseColor,
  planGuide,
  printBlock,
  printPainted,
  publishSite,
  rootBlocks,
  type Site,
  schemesInOrder,
  takeGuide,
  variantsOf,
} from '@cove/core';
import { READY_GUIDES, readyGuide } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { addWidget } from '../packages/core/src/commands/index.ts';
import { after, SHOWN, withEveryWidget } from './support/everyWidget.ts';
import { publishedPages } from './support/published.ts';

const published = publishedPages();

/** A row of numbers from 0 to 1 that is the same at each run. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
const next = numbers(547);
/** Colours as people write them in wide spaces: about half of them lie outside sRGB. */
const COLORS: readonly Color[] = Array.from({ length: 2000 }, (_, i): Color => {
  if (i % 4 === 3) return { space: 'display-p3', coords: [next(), next(), next()], alpha: 1 };
  if (i % 4 === 2)
    return { space: 'lab', coords: [next() * 100, next() * 200 - 100, next() * 200 - 100], alpha: 1 };
  return { space: 'oklch', coords: [next(), next() * 0.32, next() * 360], alpha: 1 };
});
const PER_ROW = 50;
const SIZE = 8;

/** The three bytes of the middle of each cell of a grid, as Chromium painted it. */
async function pixelsOf(css: string, cells: readonly string[]): Promise<number[][]> {
  const { page } = published.it;
  const rows = Math.ceil(cells.length / PER_ROW);
  await page.setViewport({ width: PER_ROW * SIZE, height: rows * SIZE });
  const divs = cells
    .map(
      (background, i) =>
        `<i style="position:absolute;left:${(i % PER_ROW) * SIZE}px;top:${Math.floor(i / PER_ROW) * SIZE}px;width:${SIZE}px;height:${SIZE}px;background:${background}"></i>`,
    )
    .join('');
  await page.setContent(`<style>${css}</style><body style="margin:0">${divs}`);
  const { data, info } = await sharp(await page.screenshot())
    .raw()
    .toBuffer({ resolveWithObject: true });
  return cells.map((_, i) => {
    const x = (i % PER_ROW) * SIZE + SIZE / 2;
    const y = Math.floor(i / PER_ROW) * SIZE + SIZE / 2;
    const at = (y * info.width + x) * info.channels;
    return [...data.subarray(at, at + 3)];
  });
}

describe('the colour that visitors see, against the pixels that Chromium paints', () => {
  const site = after(
    withEveryWidget(),
    COLORS.map((value, i): Edit => {
      const order = `A${String(i).padStart(4, '0')}V`;
      const shared = {
        id: `color-${i}`,
        kind: 'token',
        type: 'color',
        name: `C ${i}`,
        group: 'Random',
      } as const;
      return { op: 'put', record: { ...shared, order, value: { type: 'color', value } } };
    }),
  );
  const css = rootBlocks(site, { mode: 'published', gamut: 'srgb' }).map(printBlock).join('');

  it('is what contrast is measured on, of 2,000 colours of which many lie outside sRGB', async () => {
    const pixels = await pixelsOf(
      css,
      COLORS.map((_, i) => `var(--t-color-${i})`),
    );
    const wrong = COLORS.flatMap((color, i) => {
      const ours = paintedBytes(color);
      return ours.every((byte, k) => byte === pixels[i]?.[k]) ? [] : [{ color, ours, painted: pixels[i] }];
    });
    expect(wrong).toEqual([]);
    const table = contrastTable(COLORS.slice(0, 60));
    const painted = pixels.slice(0, 60).map(
      ([r = 0, g = 0, b = 0]): Color => ({
        space: 'srgb',
        coords: [r / 255, g / 255, b / 255],
        alpha: 1,
      }),
    );
    for (const [i, a] of painted.entries())
      for (const [j, b] of painted.entries()) expect(table[i * 60 + j]).toBeCloseTo(contrast(a, b), 9);
  });

  it('is blended as Chromium blends what is see-through, to a step of 256', async () => {
    const pairs = Array.from({ length: 400 }, () => {
      const hex = (digits: number) =>
        Math.floor(next() * 16 ** digits)
          .toString(16)
          .padStart(digits, '0');
      return { top: `#${hex(6)}${hex(2)}`, below: `#${hex(6)}` };
    });
    const pixels = await pixelsOf(
      '',
      pairs.map(({ top, below }) => `linear-gradient(${top},${top}),${below}`),
    );
    for (const [i, { top, below }] of pairs.entries()) {
      const [over, under] = [parseColor(top), parseColor(below)];
      if (!over || !under) throw new Error(top);
      for (const k of [0, 1, 2] as const) {
        const blended = over.coords[k] * over.alpha + under.coords[k] * (1 - over.alpha);
        expect(Math.abs(blended * 255 - (pixels[i]?.[k] ?? 0))).toBeLessThanOrEqual(1.5);
      }
    }
  });

  it('is the wide one on wide screens where the brand wants that, and on them alone', async () => {
    const green = parseColor('oklch(0.8 0.3 140)');
    if (!green) throw new Error('no colour');
    const wide = after(site, [
      { op: 'set', id: 'settings', path: ['wideColors'], value: true },
      { op: 'set', id: 'lamp', path: ['value'], value: { type: 'color', value: green } },
    ]);
    const { files } = publishSite(wide);
    const guide = [...files].find(([path]) => path.startsWith('guide-'))?.[1] ?? '';
    expect(guide).not.toMatch(/oklch\(|lab\(/);
    await published.it.open(files, 'sample/');
    const lamp = () =>
      published.it.page.evaluate(() =>
        getComputedStyle(document.documentElement).getPropertyValue('--t-lamp'),
      );
    expect(await lamp()).toBe(printPainted(green));
    await published.it.page.emulateMediaFeatures([{ name: 'color-gamut', value: 'p3' }]);
    expect(await lamp()).toBe(printPainted(green, 'display-p3'));
    await published.it.page.emulateMediaFeatures([]);
  });
});

/** One of every widget, and one more in each variant of each of its axes. */
function withVariants(site: Site): Site {
  let now = site;
  for (const { name, axes, sample } of SHOWN)
    for (const axis of axes)
      for (const variant of variantsOf(site, name, axis)) {
        const { edits, id } = addWidget(now, `sample-${name}`, 0, name);
        now = after(now, [
          ...edits,
          { op: 'set', id, path: ['content'], value: { ...sample } },
          { op: 'set', id, path: ['variants', axis], value: variant.id },
        ]);
      }
  return now;
}

describe.each(READY_GUIDES.map(spec => [spec.name, spec] as const))('%s, every scheme', (_, spec) => {
  const bare = withEveryWidget();
  const site = withVariants(after(bare, takeGuide(bare, planGuide(bare, readyGuide(spec)))));
  const schemes: readonly (readonly [string, Id])[] = schemesInOrder(site).map(it => [it.name, it.id]);
  it.each(schemes)(
    '%s has no text that axe-core finds too faint, in any widget or variant',
    async (_name, id) => {
      const dressed = after(site, [editAt<'page'>('sample').set('scheme', id)]);
      await published.it.page.setViewport({ width: 1280, height: 900 });
      await published.it.open(publishSite(dressed).files, 'sample/');
      expect(await published.it.violations('main', 'color-contrast')).toEqual([]);
    },
  );
});
