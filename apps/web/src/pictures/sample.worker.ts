import { type Area2D, leastTint, worstContrast } from '@cove/core';
import type { SampleAnswer, SampleQuestion } from './pictureSampler.ts';

/** About the size of a letter, in px of the page: smaller spots hide nobody's text. */
const PATCH = 12;
const MOST = 96;

/** Pictures kept in memory, the last one asked for at the end: few are looked at in turn, and each is large. */
const KEPT = 4;
const bitmaps = new Map<string, Promise<ImageBitmap>>();

async function read(url: string): Promise<ImageBitmap> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`${response.status} for ${url}`);
  return createImageBitmap(await response.blob());
}

function bitmapOf(url: string): Promise<ImageBitmap> {
  const found = bitmaps.get(url) ?? read(url);
  bitmaps.delete(url);
  bitmaps.set(url, found);
  // One that could not be read is asked for again the next time.
  found.catch(() => bitmaps.delete(url));
  for (const old of [...bitmaps.keys()].slice(0, -KEPT)) bitmaps.delete(old);
  return found;
}

/** The means of a picture under an area, a patch for each letter's worth of it. */
function patchesOf(
  bitmap: ImageBitmap,
  from: Area2D,
  shown: { width: number; height: number },
): Uint8ClampedArray {
  const width = Math.max(1, Math.min(MOST, Math.round(shown.width / PATCH)));
  const height = Math.max(1, Math.min(MOST, Math.round(shown.height / PATCH)));
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) return new Uint8ClampedArray();
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, from.x, from.y, from.width, from.height, 0, 0, width, height);
  return context.getImageData(0, 0, width, height).data;
}

self.addEventListener('message', async (event: MessageEvent<SampleQuestion>) => {
  const { id, url, texts, tint, share } = event.data;
  let answer: SampleAnswer;
  try {
    const bitmap = await bitmapOf(url);
    answer = {
      id,
      texts: texts.map(({ under, shown, color, wanted }) => {
        const patches = patchesOf(bitmap, under, shown);
        return {
          ratio: worstContrast(patches, color, tint, share),
          wanted,
          least: tint ? leastTint(patches, color, tint, wanted) : null,
        };
      }),
    };
  } catch {
    answer = { id, texts: null };
  }
  self.postMessage(answer);
});
