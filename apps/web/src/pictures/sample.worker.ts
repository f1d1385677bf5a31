import { type Area2D, leastTint, worstContrast } from '@cove/core';
import type { SampleAnswer, SampleQuestion } from './sampling.ts';

/** About the size of a letter, in px of the page: smaller spots hide nobody's text. */
const PATCH = 12;
const MOST = 96;

const bitmaps = new Map<string, Promise<ImageBitmap>>();
const bitmapOf = (url: string): Promise<ImageBitmap> => {
  let found = bitmaps.get(url);
  if (!found) {
    found = fetch(url)
      .then(it => it.blob())
      .then(createImageBitmap);
    bitmaps.set(url, found);
  }
  return found;
};

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
