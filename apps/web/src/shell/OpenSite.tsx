import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { StationActs } from '../acts/stationActs.tsx';
import { answer, server } from '../api/client.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import type { SiteSummary } from '../api/types.ts';
import { useSites } from '../api/useSites.ts';
import { Sampling } from '../pictures/Sampling.tsx';
import { SessionProvider } from '../session/context.tsx';
import { browserHistory } from '../session/historyStore.ts';
import { browserStore } from '../session/pendingStore.ts';
import { type SessionOptions, SiteSession } from '../session/siteSession.ts';
import { nameOfTab } from '../session/tab.ts';
import { Button } from '../ui/Button.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { Shell } from './Shell.tsx';

const signedIn = async (): Promise<string> => (await answer(server.GET('/api/session'))).email;

const notice = (message: string, kind: 'info' | 'problem') =>
  kind === 'problem' ? toast.error(message) : toast(message);

async function openSite(
  summary: SiteSummary,
  handlers: Pick<SessionOptions, 'onMembers' | 'onReleases'>,
): Promise<SiteSession> {
  const [account, tab] = await Promise.all([signedIn(), nameOfTab()]);
  return SiteSession.open(summary.id, notice, {
    tab,
    pending: browserStore(summary.id, account),
    history: browserHistory(summary.id, account, tab),
    rights: summary,
    ...handlers,
  });
}

const whyNot = (error: unknown): string =>
  error instanceof RequestProblem ? error.message : 'The server cannot be reached.';

/** Opens the site of the address and keeps it open while its stations change. */
export function OpenSite() {
  const { site = '' } = useParams();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const sites = useSites();
  const [session, setSession] = useState<SiteSession | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [attempt, setAttempt] = useState(0);
  const summary = sites.data?.find(it => it.id === site);
  const newest = useLatest(summary);
  const known = summary !== undefined;

  // biome-ignore lint/correctness/useExhaustiveDependencies: `attempt` opens it again
  useEffect(() => {
    const { current } = newest;
    if (!current) return;
    let gone = false;
    let opened: SiteSession | null = null;
    setFailure(null);
    const onMembers = () => {
      void queries.invalidateQueries({ queryKey: queryKeys.sites });
      void queries.invalidateQueries({ queryKey: queryKeys.people(site) });
    };
    const onReleases = () => void queries.invalidateQueries({ queryKey: queryKeys.releases(site) });
    openSite(current, { onMembers, onReleases }).then(
      it => {
        opened = it;
        if (gone) it.close();
        else setSession(it);
      },
      (error: unknown) => {
        if (error instanceof RequestProblem && error.status === 401) void navigate('/');
        else if (!gone) setFailure(whyNot(error));
      },
    );
    return () => {
      gone = true;
      opened?.close();
      setSession(null);
    };
  }, [site, known, navigate, queries, attempt]);

  useEffect(() => {
    if (session && summary) session.setRights(summary);
  }, [session, summary]);

  const signedOut = sites.error instanceof RequestProblem && sites.error.status === 401;
  useEffect(() => {
    if (signedOut) void navigate(`/?to=${encodeURIComponent(location.pathname)}`);
  }, [signedOut, navigate]);

  const missing =
    sites.data && !summary ? 'This site does not exist, or you do not have access to it.' : null;
  const unreachable = sites.error && !sites.data && !signedOut ? whyNot(sites.error) : null;
  const problem = missing ?? unreachable ?? failure;
  const again = () => {
    void sites.refetch();
    setAttempt(attempt + 1);
  };
  if (problem)
    return (
      <div role="alert" className="grid h-full place-content-center gap-3 text-center">
        <p>{problem}</p>
        <p className="flex justify-center gap-2">
          <Button kind="line" onClick={again}>
            Try again
          </Button>
          <Link to="/" className="self-center text-teal hover:underline">
            All sites
          </Link>
        </p>
      </div>
    );
  if (!session || !summary)
    return (
      <p role="status" className="grid h-full place-content-center text-muted">
        Loading…
      </p>
    );
  return (
    <SessionProvider session={session} summary={summary}>
      <StationActs>
        <Sampling>
          <Shell />
        </Sampling>
      </StationActs>
    </SessionProvider>
  );
}
