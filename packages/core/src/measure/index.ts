export {
  gamutsOf,
  isFailure,
  newFailures,
  type RoleContrast,
  roleColor,
  roleContrasts,
  schemeContrasts,
  schemeFailures,
  siteContrast,
  tightest,
} from './contrast.ts';
export { explainRole } from './explainRole.ts';
export { type Failures, failuresOf } from './failures.ts';
export { type FontBill, fontBill, type MissingCut, MOST_FAMILIES, missingCuts } from './fonts.ts';
export { type NearPair, nearSwatches } from './nearSwatches.ts';
export { noEffect } from './noEffect.ts';
export {
  type Area2D,
  type Cropping,
  isLargeText,
  leastTint,
  type Patches,
  pictureUnder,
  wantedFor,
  worstContrast,
} from './overPicture.ts';
export { type Override, overridesOf } from './overrides.ts';
export { type Filled, Paints, type TextContrast } from './paints.ts';
export { type Picture, type PictureBehind, pictureAt, pictureBehind } from './pictureBehind.ts';
export { type RasterIcon, rasterIcons } from './rasterIcons.ts';
export { type ColorOffer, readableColors } from './readableColors.ts';
export { type Room, Rooms } from './rooms.ts';
