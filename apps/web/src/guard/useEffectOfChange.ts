import { type Edit, getRecord, isGuideRecord, type Site, targetOf } from '@cove/core';
import { useEffect, useRef, useState } from 'react';
import type { Effect } from '../reach/messages.ts';
import { reachClientOf } from '../reach/reachClient.ts';
import { useSession, useSessionState } from '../session/context.tsx';
import type { MadeHere } from '../session/siteSession.ts';

/** Milliseconds for which nothing that is only shown may alter before it is looked at. */
const REST = 80;

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

/** The last change of the guide that was made here, or that is shown now, and what it does; null where there was none. */
export function useEffectOfChange(): { made: MadeHere; effect: Effect | null } | null {
  const session = useSession();
  const made = useSessionState(state => state.made);
  const [known, setKnown] = useState<{ made: MadeHere; effect: Effect } | null>(null);
  const asking = useRef(false);
  const isShared = made !== null && altersGuide(session.site, made);
  useEffect(() => {
    if (!made || !isShared) return;
    let isOver = false;
    const ask = async () => {
      // One at a time: what came meanwhile is asked for after it.
      while (asking.current && !isOver) await new Promise(resolve => setTimeout(resolve, REST));
      if (isOver) return;
      asking.current = true;
      const effect = await reachClientOf(session).effect(made.edits, made.inverse);
      asking.current = false;
      if (effect && !isOver) setKnown({ made, effect });
    };
    const timer = setTimeout(() => void ask(), made.label === null ? REST : 0);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, made, isShared]);
  if (!made || !isShared) return null;
  return { made, effect: known?.made === made || made.label === null ? (known?.effect ?? null) : null };
}
