export { innermostFirst } from './innermostFirst.ts';
export { longestWays, type WayLength } from './longestWays.ts';
