import type { Site } from '@cove/core';
import { useFollowedSite } from './followedSite.ts';

/** Milliseconds between two looks while something is only shown. */
const PACE = 400;
const nowAndThen = (sinceLook: number) => ({ wait: PACE - sinceLook, again: false });

/**
 * The site for what takes long to draw and need not follow each frame of a drag, such as a colour under the hand. What is
 * being dragged itself asks for `useSite`.
 */
export const useCalmSite = (): Site => useFollowedSite(nowAndThen);
