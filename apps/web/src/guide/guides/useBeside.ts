import { applyChange, type Site } from '@cove/core';
import { useEffect, useState } from 'react';
import { reachClientOf } from '../../reach/reachClient.ts';
import { useSession } from '../../session/context.tsx';
import type { Beside } from '../ViewMenu.tsx';
import { useKeptGuide } from './useKept.ts';

/** The site in another guide, or as it was before; null where nothing is wanted, and until it is worked out. */
export function useBeside(beside: Beside, before: Site): Site | null {
  const session = useSession();
  const [kind, id = ''] = beside.split(':');
  const kept = useKeptGuide(kind === 'kept' ? id : null, session.id);
  const guide = kind === 'ready' ? id : kind === 'kept' ? kept.data : undefined;
  const [made, setMade] = useState<{ beside: Beside; site: Site } | null>(null);
  useEffect(() => {
    if (guide === undefined) return;
    let gone = false;
    void reachClientOf(session)
      .plan({ guide, face: null })
      .then(({ edits }) => {
        const applied = applyChange(session.kept, { edits });
        if (!gone && applied.ok) setMade({ beside, site: applied.value.site });
      });
    return () => {
      gone = true;
    };
  }, [session, guide, beside]);
  if (beside === 'before') return before;
  return made?.beside === beside ? made.site : null;
}
