import { type Edit, type Forecast, getRecord, isGuideRecord, type Site, targetOf } from '@cove/core';
import { useEffect, useRef, useState } from 'react';
import type { Effect } from '../reach/messages.ts';
import { reachClientOf } from '../reach/reachClient.ts';
import { useSession, useSessionState } from '../session/context.tsx';
import type { MadeHere, SiteSession } from '../session/siteSession.ts';

/** Ms for which nothing that is only shown may alter before its reach is asked for. */
const REST = 40;
/** Ms after which pages are looked at, too, for what is still only shown. */
const LONG_REST = 500;
/** Ms beyond which looking at the pages is left until a change is made: a drag that goes on would wait for it. */
const QUICK = 150;

/** Whether a change alters the guide, which all pages share. */
const altersGuide = (site: Site, { edits, inverse }: MadeHere): boolean => {
  const put = [...edits, ...inverse].flatMap((it: Edit) => (it.op === 'put' ? [it.record] : []));
  return (
    put.some(isGuideRecord) ||
    edits.some(it => {
      const record = getRecord(site, targetOf(it));
      return record !== undefined && isGuideRecord(record);
    })
  );
};

const targets = (made: MadeHere): string => made.edits.map(targetOf).join(' ');
/** Whether one is the other a moment later: the same records, to be other ones still. */
const sameTargets = (before: MadeHere | null, now: MadeHere): boolean =>
  before?.label === null && targets(before) === targets(now);

export interface EffectOfChange {
  made: MadeHere;
  /** What it will reach: known at once, while it is only shown. */
  forecast: Forecast | null;
  /** What comes to look different, and what can no longer be read: known once the pages have been looked at. */
  effect: Effect | null;
}

interface Known {
  made: MadeHere | null;
  forecast: Forecast | null;
  effect: Effect | null;
}
const NOTHING: Known = { made: null, forecast: null, effect: null };

/** How long looking at the pages took the last time, by session. */
const took = new WeakMap<SiteSession, number>();

const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms));

/** The last change of the guide that was made here, or that is shown now, and what it does; null where there was none. */
export function useEffectOfChange(): EffectOfChange | null {
  const session = useSession();
  const made = useSessionState(state => state.made);
  const [known, setKnown] = useState(NOTHING);
  const asking = useRef(false);
  const isShared = made !== null && altersGuide(session.site, made);
  useEffect(() => {
    if (!made || !isShared) return;
    let isOver = false;
    const client = reachClientOf(session);
    const foretell = async () => {
      const forecast = await client.forecast(made.edits);
      if (forecast && !isOver) setKnown({ made, forecast, effect: null });
    };
    const look = async () => {
      // One at a time: what came meanwhile is asked for after it.
      while (asking.current && !isOver) await pause(REST);
      if (isOver) return;
      asking.current = true;
      const began = performance.now();
      const effect = await client.effect(made.edits, made.inverse);
      took.set(session, performance.now() - began);
      asking.current = false;
      if (effect && !isOver) setKnown({ made, forecast: null, effect });
    };
    const follow = async () => {
      if (made.label === null) {
        await pause(REST);
        if (!isOver) await foretell();
        await pause(LONG_REST);
        if (isOver || (took.get(session) ?? 0) > QUICK) return;
      }
      await look();
    };
    void follow();
    return () => {
      isOver = true;
    };
  }, [session, made, isShared]);
  if (!made || !isShared) return null;
  // While a hand goes on, what was told of the moment before stays until the next is known.
  const holds = known.made === made || (made.label === null && sameTargets(known.made, made));
  const { forecast, effect } = holds ? known : NOTHING;
  return { made, forecast, effect };
}
