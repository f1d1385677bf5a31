import type { Edit, Id, Impact, Override, Problem } from '@cove/core';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { useSession } from '../session/context.tsx';
import type { ReachCount, UsePlace } from './messages.ts';
import { reachClientOf } from './reachClient.ts';

/** How far everything of the guide reaches; empty until the worker has answered for the first time. */
export function useReachOfAll(): ReadonlyMap<Id, ReachCount> {
  const client = reachClientOf(useSession());
  return useSyncExternalStore(client.subscribe, client.reach);
}

/** Reach of one thing; null until it is known. */
export function useReach(id: Id): ReachCount | null {
  const all = useReachOfAll();
  return all.size === 0 ? null : (all.get(id) ?? { uses: 0, pages: 0 });
}

/** Every place where something is used, asked for when the list is opened. */
export function useUses(id: Id, open: boolean): readonly UsePlace[] | null {
  const session = useSession();
  const reach = useReachOfAll();
  const [uses, setUses] = useState<readonly UsePlace[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new reach stands for a site that has altered
  useEffect(() => {
    if (!open) return;
    let gone = false;
    void reachClientOf(session)
      .uses(id)
      .then(found => {
        if (!gone) setUses(found);
      });
    return () => {
      gone = true;
    };
  }, [session, id, open, reach]);
  return open ? uses : null;
}

/** Every override of a page or of the site, found beside the main thread; null until it is known. */
export function useOverrides(page: Id | null): readonly Override[] | null {
  const session = useSession();
  const reach = useReachOfAll();
  const [found, setFound] = useState<{ page: Id | null; list: readonly Override[] } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new reach stands for a site that has altered
  useEffect(() => {
    let gone = false;
    void reachClientOf(session)
      .overrides(page)
      .then(list => {
        if (!gone) setFound({ page, list });
      });
    return () => {
      gone = true;
    };
  }, [session, page, reach]);
  return found?.page === page ? found.list : null;
}

export type PendingImpact = { impact: Impact } | { problem: Problem } | null;

/** What edits would alter; null while it is worked out, and where there are none. */
export function useImpact(edits: readonly Edit[] | null): PendingImpact {
  const session = useSession();
  const [foreseen, setForeseen] = useState<PendingImpact>(null);
  useEffect(() => {
    setForeseen(null);
    if (!edits) return;
    let gone = false;
    void reachClientOf(session)
      .impact(edits)
      .then(result => {
        if (!gone) setForeseen(result.ok ? { impact: result.value } : { problem: result.problem });
      });
    return () => {
      gone = true;
    };
  }, [session, edits]);
  return foreseen;
}
