import { useEffect } from 'react';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { server } from '../api/client.ts';
import { useSession } from '../session/context.tsx';
import type { Whereabouts } from '../session/streamMessages.ts';
import { stationAt } from '../stations/index.ts';
import { useLatest } from '../ui/useLatest.ts';

/** How often, in ms, one says again that one is here, and at most says that one is elsewhere. */
const AGAIN = 25_000;
const AT_MOST = 1000;

/** Tells the others at the site where one is. A word lost on the way is made up for by the next. */
export function usePresence(): void {
  const session = useSession();
  const { pathname } = useLocation();
  const { page } = useParams();
  const [params] = useSearchParams();
  const node = params.get('node');
  const station = stationAt(pathname)?.name;
  const place = useLatest<Whereabouts | null>(
    station ? { station, ...(page !== undefined && { page }), ...(node !== null && { node }) } : null,
  );

  const site = session.id;
  // biome-ignore lint/correctness/useExhaustiveDependencies: told again when the place is another one
  useEffect(() => {
    const tell = () => {
      if (!place.current) return;
      const body = { client: session.tab, ...place.current };
      server.PUT('/api/sites/{site}/presence', { params: { path: { site } }, body }).catch(() => {});
    };
    const soon = setTimeout(tell, AT_MOST);
    const again = setInterval(tell, AGAIN);
    return () => {
      clearTimeout(soon);
      clearInterval(again);
    };
  }, [session, site, station, page, node]);

  useEffect(() => {
    const leave = () =>
      void server
        .DELETE('/api/sites/{site}/presence/{client}', {
          params: { path: { site, client: session.tab } },
          keepalive: true,
        })
        .catch(() => {});
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [session, site]);
}
