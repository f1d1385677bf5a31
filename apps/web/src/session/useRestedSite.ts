import type { Site } from '@cove/core';
import { useFollowedSite } from './followedSite.ts';

/** Milliseconds for which nothing may alter before it counts as resting. */
const REST = 50;
const onceItRests = () => ({ wait: REST, again: true });

/** The site for what is worked out of it while the hand rests, and not while it moves. */
export const useRestedSite = (): Site => useFollowedSite(onceItRests);
