export { type Cut, FAMILIES, type Family, familyNamed, fontFace, fontFile } from './families.ts';
export { type FluidRange, printFluid, REM } from './fluid.ts';
export { scaleStep } from './scale.ts';
