import { applyChange, type Id, nodesOn, targetOf } from '@cove/core';
import { useEffect, useState } from 'react';
import type { Effect } from '../../reach/messages.ts';
import { useSession } from '../../session/context.tsx';
import type { MadeHere } from '../../session/siteSession.ts';
import { FitProbe, type UnfitText } from './FitProbe.ts';

/** Pages that are laid out for one change, the first of those on which something looks different. */
const PAGES = 6;
/** Items of a page beyond which laying it out could be felt. */
const ITEMS = 500;
/** Ms for which a change must rest before pages are laid out: a hand that drags does not wait for it. */
const REST = 400;

export interface Fit {
  texts: readonly UnfitText[];
  /** How many of the pages that look different were laid out. */
  pages: number;
}

/** The texts that have no room any more since a change of the guide; null until the pages have been laid out. */
export function useUnfitTexts(made: MadeHere | null, effect: Effect | null): Fit | null {
  const session = useSession();
  const [known, setKnown] = useState<{ made: MadeHere; fit: Fit } | null>(null);
  useEffect(() => {
    if (!made || !effect || effect.impact.pages.length === 0) return;
    let isOver = false;
    const look = async () => {
      const { kept, site } = session;
      const back = made.label === null ? null : applyChange(kept, { edits: made.inverse });
      if (back && !back.ok) return;
      const [before, after] = back ? [back.value.site, kept] : [kept, site];
      const touched = new Set<Id>([...made.edits, ...made.inverse].map(targetOf));
      const probe = await FitProbe.open(session.id);
      const texts: UnfitText[] = [];
      let pages = 0;
      try {
        for (const { page: id } of effect.impact.pages) {
          const page = after.kinds.page.get(id);
          if (isOver || pages === PAGES) break;
          if (!page || !before.kinds.page.has(id) || nodesOn(after, page).length > ITEMS) continue;
          texts.push(...(await probe.compare(before, after, id, touched)));
          pages++;
        }
      } finally {
        probe.close();
      }
      // What stands on several pages is told of once.
      const once = new Map(texts.map(it => [`${it.node} ${it.part}`, it]));
      if (!isOver) setKnown({ made, fit: { texts: [...once.values()], pages } });
    };
    const timer = setTimeout(() => void look(), REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, made, effect]);
  return known !== null && known.made === made ? known.fit : null;
}
