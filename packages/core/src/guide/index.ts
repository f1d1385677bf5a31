export { ROLES, type Role, roleNamed } from '../roles/index.ts';
export { familiesOf, familyIn, ownFamilies } from './families.ts';
export {
  type PresetStyles,
  presetStyles,
  presetsAround,
  presetsWithin,
} from './presetStyles.ts';
export { roleChain, roleIn, rolesOf } from './roles.ts';
export {
  isMadeGroup,
  type MadeSwatch,
  madeGroup,
  type SchemeWish,
  type SolvedScheme,
  solveScheme,
} from './solve/solveScheme.ts';
export {
  type GuideData,
  type GuideRecord,
  type GuideSettings,
  guideOf,
  isGuideRecord,
} from './take/guideData.ts';
export { facedSchemes, type GuidePart, type GuidePlan, planGuide, takeGuide } from './take/planGuide.ts';
export { readGuideData } from './take/readGuideData.ts';
export { variantsOf } from './variants.ts';
