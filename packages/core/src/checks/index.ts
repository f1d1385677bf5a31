import { altTexts } from './altTexts.ts';
import type { AnyCheck } from './check.ts';
import { contrast } from './contrast.ts';
import { families } from './families.ts';
import { firstWordsLeft } from './firstWordsLeft.ts';
import { missingCuts } from './missingCuts.ts';
import { nearSwatches } from './nearSwatches.ts';
import { noEffect } from './noEffect.ts';
import { overrides } from './overrides.ts';
import { rasterIcons } from './rasterIcons.ts';
import { textOverPictures } from './textOverPictures.ts';

export {
  type DefinedCheck,
  type Finding,
  type Fix,
  type FoundAt,
  type Measured,
  SEVERITIES,
  type Severity,
} from './check.ts';
export { CheckRunner } from './checkRunner.ts';
export { firstWordsIn } from './firstWordsLeft.ts';

/** Everything that is looked at, what matters most first. */
export const CHECKS = {
  contrast,
  textOverPictures,
  altTexts,
  firstWordsLeft,
  missingCuts,
  families,
  rasterIcons,
  noEffect,
  overrides,
  nearSwatches,
} as const satisfies Readonly<Record<string, AnyCheck>>;
export type CheckName = keyof typeof CHECKS;
