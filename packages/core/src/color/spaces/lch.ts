import { type ColorSpace, fromPolar, toPolar } from '../color.ts';

export const lch: ColorSpace = { id: 'lch', base: 'lab', toBase: fromPolar, fromBase: toPolar };
