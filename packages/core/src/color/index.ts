export type { Color, ColorSpaceId, Triple } from './color.ts';
export { contrast, layOver, luminance } from './contrast.ts';
export { convert } from './convert.ts';
export { deltaEOK, inSrgbGamut, maxChroma, toSrgbGamut } from './gamut.ts';
export { mix } from './mix.ts';
export { parseColor } from './parseColor.ts';
export { printColor, printHex, printNumber, roundColor } from './printColor.ts';
export { isColorSpace } from './spaces/index.ts';
