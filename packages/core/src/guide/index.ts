export * from '../roles/index.ts';
export { familiesOf, familyIn, ownFamilies } from './families.ts';
export { madeForSchemes } from './madeForSchemes.ts';
export { mainColors } from './mainColors.ts';
export {
  type PresetStyles,
  presetStyles,
  presetsAround,
  presetsOfUse,
  presetsWithin,
} from './presetStyles.ts';
export {
  groupNamed,
  isNeutralColor,
  type KnownPurpose,
  purposeInName,
  purposeOf,
  STATUS_HUES,
} from './purposes.ts';
export { roleChain, roleIn, rolesOf } from './roles.ts';
export { faceOf } from './solve/measures.ts';
export {
  type MadeSwatch,
  type Palette,
  type SchemeWish,
  type SolvedScheme,
  solveScheme,
} from './solve/solveScheme.ts';
export { type AskedAgain, keptRoles, wishOf } from './solve/wishOf.ts';
export {
  type GuideData,
  type GuideRecord,
  type GuideSettings,
  guideOf,
  isGuideRecord,
} from './take/guideData.ts';
export {
  facedSchemes,
  type GuidePart,
  type GuidePlan,
  planGuide,
  takeableFoundation,
  takeGuide,
} from './take/planGuide.ts';
export { readGuideData } from './take/readGuideData.ts';
export { valuesInGuide } from './valuesInGuide.ts';
export { variantsOf } from './variants.ts';
