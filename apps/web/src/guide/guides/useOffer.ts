import { useEffect, useState } from 'react';
import type { GuideOffer, GuideWish } from '../../reach/messages.ts';
import { reachClientOf } from '../../reach/reachClient.ts';
import { useSession } from '../../session/context.tsx';

/** What taking a guide comes to, worked out beside the main thread and shown in the station until it is left or taken. */
export function useOffer(wish: GuideWish | null): GuideOffer | null {
  const session = useSession();
  const [offer, setOffer] = useState<GuideOffer | null>(null);
  useEffect(() => {
    setOffer(null);
    if (!wish) return;
    let gone = false;
    // What is shown meanwhile is not the site's own, so it is taken back before the worker is asked.
    session.show(null);
    void reachClientOf(session)
      .plan(wish)
      .then(made => {
        if (gone) return;
        setOffer(made);
        session.show(made.edits);
      });
    return () => {
      gone = true;
      session.show(null);
    };
  }, [session, wish]);
  return offer;
}
