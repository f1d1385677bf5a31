export { type Apart, apart } from './apart.ts';
export { nearestToken } from './nearestToken.ts';
export {
  type ChoiceGroup,
  matchingChoices,
  type NearChoice,
  nearestChoices,
  type TokenChoice,
  tokenChoices,
  type Wanted,
} from './tokenChoices.ts';
