import type { ColorSpace } from '../color.ts';

/** CSS Color 4, section 7; saturation and lightness in per cent. */
export const hsl: ColorSpace = {
  id: 'hsl',
  base: 'srgb',
  toBase([h, s, l]) {
    const light = l / 100;
    const amount = (s / 100) * Math.min(light, 1 - light);
    const channel = (n: number) => {
      const k = (((n + h / 30) % 12) + 12) % 12;
      return light - amount * Math.max(-1, Math.min(k - 3, 9 - k, 1));
    };
    return [channel(0), channel(8), channel(4)];
  },
  fromBase([r, g, b]) {
    const max = Math.max(r, g, b);
    const min = Math.min(r, g, b);
    const light = (min + max) / 2;
    const d = max - min;
    let hue = 0;
    let saturation = 0;
    if (d !== 0) {
      saturation = light === 0 || light === 1 ? 0 : (max - light) / Math.min(light, 1 - light);
      if (max === r) hue = (g - b) / d + (g < b ? 6 : 0);
      else if (max === g) hue = (b - r) / d + 2;
      else hue = (r - g) / d + 4;
      hue *= 60;
    }
    if (saturation < 0) {
      hue += 180;
      saturation = -saturation;
    }
    return [hue >= 360 ? hue - 360 : hue, saturation * 100, light * 100];
  },
};
