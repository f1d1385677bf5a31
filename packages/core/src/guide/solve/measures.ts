import { type Color, luminance } from '../../color/index.ts';
import type { SchemeRecord } from '../../site/records.ts';

/** Both heading and text should do better than the least (common practice, no source). */
export const COMFORT = 7;
/** A swatch of the brand’s own is taken for headings from here on, rather than moved. */
export const FAIR = 5.5;
/** Colours nearer to each other (CIEDE2000) can hardly be told apart. */
export const HARDLY = 2;
/** What is meant to be told apart is further from each other than this. */
export const TOLD = 4;
/** A colour of the brand nearer than this to that of a status reads as one. */
export const ALARMING = 14;
/** Below this OKLCH chroma a colour has no hue to speak of. */
export const HUELESS = 0.05;
/** Relative luminance on which black and white can be read equally well, at 4.58:1. */
export const MIDDLE = Math.sqrt(1.05 * 0.05) - 0.05;

/** Whether white or black is what can be read on a colour. */
export const faceOf = (color: Color): SchemeRecord['face'] => (luminance(color) < MIDDLE ? 'dark' : 'light');

export const thousandths = (v: number): number => Math.round(v * 1000) / 1000;

export const least = <T>(items: readonly T[], cost: (item: T) => number): T | undefined => {
  let best: T | undefined;
  let low = Number.POSITIVE_INFINITY;
  for (const item of items) {
    const value = cost(item);
    if (value < low) [best, low] = [item, value];
  }
  return best;
};
