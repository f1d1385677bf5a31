import type { ColorSpace, ColorSpaceId } from '../color.ts';
import { displayP3 } from './displayP3.ts';
import { hsl } from './hsl.ts';
import { hwb } from './hwb.ts';
import { lab } from './lab.ts';
import { lch } from './lch.ts';
import { oklab } from './oklab.ts';
import { oklch } from './oklch.ts';
import { srgb } from './srgb.ts';
import { srgbLinear } from './srgbLinear.ts';

const xyz: ColorSpace = { id: 'xyz-d65', base: 'xyz-d65', toBase: c => c, fromBase: c => c };

export const SPACES: Record<ColorSpaceId, ColorSpace> = {
  srgb,
  'srgb-linear': srgbLinear,
  'display-p3': displayP3,
  hsl,
  hwb,
  lab,
  lch,
  oklab,
  oklch,
  'xyz-d65': xyz,
};

export const isColorSpace = (id: string): id is ColorSpaceId => Object.hasOwn(SPACES, id);
