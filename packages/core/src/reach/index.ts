export { type Forecast, forecast } from './forecast.ts';
export { type Aspect, compareSites, type Impact, impactOf, type PageImpact } from './impact.ts';
export { type Mention, mentionsOf, usersOf } from './mentions.ts';
export { type Reach, type ReachIndex, reachIndex, reachOf, reachOfAny, type Use, usesOf } from './reach.ts';
export { type Standing, standingsOf } from './standing.ts';
export {
  newlyUnreadable,
  type TextOnFill,
  textContrast,
  textsOnFill,
  textsOnPreset,
  type UnreadableText,
  unreadableTexts,
} from './unreadable.ts';
