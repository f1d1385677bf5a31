import type { ColorSpace } from '../color.ts';
import { hsl } from './hsl.ts';

/** CSS Color 4, section 8; whiteness and blackness in per cent. */
export const hwb: ColorSpace = {
  id: 'hwb',
  base: 'srgb',
  toBase([h, w, b]) {
    const white = w / 100;
    const black = b / 100;
    if (white + black >= 1) {
      const grey = white / (white + black);
      return [grey, grey, grey];
    }
    const [red, green, blue] = hsl.toBase([h, 100, 50]);
    const tone = (v: number) => v * (1 - white - black) + white;
    return [tone(red), tone(green), tone(blue)];
  },
  fromBase([r, g, b]) {
    return [hsl.fromBase([r, g, b])[0], Math.min(r, g, b) * 100, (1 - Math.max(r, g, b)) * 100];
  },
};
