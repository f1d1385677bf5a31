export { familiesOf, familyIn, ownFamilies } from './families.ts';
export {
  includedIn,
  type PresetStyles,
  presetStyles,
  presetsAround,
  presetsWithin,
} from './presetStyles.ts';
export { ROLES, type Role, roleChain, roleIn, roleNamed, rolesOf } from './roles.ts';
export { type MadeSwatch, type SchemeWish, type SolvedScheme, solveScheme } from './solve/solveScheme.ts';
