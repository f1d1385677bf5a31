import { clusterColors } from '@cove/core';
import { completeBrand, readBrandFile, readBrandLines, readyGuide } from '@cove/core/starters';
import type { FromBrand, ToBrand } from './messages.ts';

/** Longer side in px to which larger pictures are drawn: more adds nothing to their colours, and takes a second to read. */
const LONGEST = 2048;

/** The pixels of a picture, none of them left out where it is not very large. */
async function pixelsOf(picture: Blob): Promise<Uint8ClampedArray> {
  const bitmap = await createImageBitmap(picture);
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height).data;
}

async function answer(asked: ToBrand): Promise<FromBrand> {
  const { ask } = asked;
  const problem = (message: string): FromBrand => ({ ask, type: 'problem', message });
  switch (asked.type) {
    case 'lines':
    case 'file': {
      const read = asked.type === 'lines' ? readBrandLines(asked.text) : readBrandFile(asked.text);
      return read.ok ? { ask, type: 'read', ...read.value } : problem(read.problem.message);
    }
    case 'picture':
      try {
        return { ask, type: 'clusters', clusters: clusterColors(await pixelsOf(asked.picture)) };
      } catch {
        return problem('This picture cannot be read. Choose a PNG, JPEG, WebP, AVIF, GIF or SVG file.');
      }
    case 'pixels':
      return { ask, type: 'clusters', clusters: clusterColors(asked.pixels) };
    case 'complete': {
      const spec = completeBrand(asked.brand, asked.name);
      return spec.ok ? { ask, type: 'guide', guide: readyGuide(spec.value) } : problem(spec.problem.message);
    }
  }
}

self.addEventListener('message', ({ data }: MessageEvent<ToBrand>) => {
  void answer(data).then(it => self.postMessage(it));
});
