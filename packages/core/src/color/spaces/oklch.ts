import { type ColorSpace, fromPolar, toPolar } from '../color.ts';

export const oklch: ColorSpace = { id: 'oklch', base: 'oklab', toBase: fromPolar, fromBase: toPolar };
