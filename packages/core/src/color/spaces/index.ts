import type { ColorSpace, ColorSpaceId } from '../color.ts';
import { a98Rgb } from './a98Rgb.ts';
import { displayP3 } from './displayP3.ts';
import { hsl } from './hsl.ts';
import { hwb } from './hwb.ts';
import { lab } from './lab.ts';
import { lch } from './lch.ts';
import { oklab } from './oklab.ts';
import { oklch } from './oklch.ts';
import { prophotoRgb } from './prophotoRgb.ts';
import { rec2020 } from './rec2020.ts';
import { srgb } from './srgb.ts';
import { srgbLinear } from './srgbLinear.ts';
import { xyzD50 } from './xyzD50.ts';

const xyz: ColorSpace = { id: 'xyz-d65', base: 'xyz-d65', toBase: c => c, fromBase: c => c };

export const SPACES: Record<ColorSpaceId, ColorSpace> = {
  srgb,
  'srgb-linear': srgbLinear,
  'display-p3': displayP3,
  'a98-rgb': a98Rgb,
  'prophoto-rgb': prophotoRgb,
  rec2020,
  hsl,
  hwb,
  lab,
  lch,
  oklab,
  oklch,
  'xyz-d50': xyzD50,
  'xyz-d65': xyz,
};

export const isColorSpace = (id: string): id is ColorSpaceId => Object.hasOwn(SPACES, id);
