import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { RequestProblem, request } from '../api/request.ts';
import { useSites } from '../api/useSites.ts';
import { SessionProvider } from '../session/context.tsx';
import { browserStore } from '../session/pendingStore.ts';
import { SiteSession } from '../session/siteSession.ts';
import { Button } from '../ui/Button.tsx';
import { Shell } from './Shell.tsx';

const signedIn = async (): Promise<string> => (await request<{ email: string }>('GET', '/api/session')).email;

/** Opens the site of the address and keeps it open while its stations change. */
export function OpenSite() {
  const { site = '' } = useParams();
  const navigate = useNavigate();
  const sites = useSites();
  const [session, setSession] = useState<SiteSession | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [attempt, setAttempt] = useState(0);

  // biome-ignore lint/correctness/useExhaustiveDependencies: `attempt` opens it again
  useEffect(() => {
    let gone = false;
    let opened: SiteSession | null = null;
    setFailure(null);
    const notice = (message: string, kind: 'info' | 'problem') =>
      kind === 'problem' ? toast.error(message) : toast(message);
    const opening = async () => SiteSession.open(site, notice, browserStore(site, await signedIn()));
    opening().then(
      it => {
        opened = it;
        if (gone) it.close();
        else setSession(it);
      },
      (error: unknown) => {
        if (error instanceof RequestProblem && error.status === 401) void navigate('/');
        else if (!gone)
          setFailure(error instanceof RequestProblem ? error.message : 'The server cannot be reached.');
      },
    );
    return () => {
      gone = true;
      opened?.close();
      setSession(null);
    };
  }, [site, navigate, attempt]);

  const summary = sites.data?.find(it => it.id === site);
  if (failure)
    return (
      <div role="alert" className="grid h-full place-content-center gap-3 text-center">
        <p>{failure}</p>
        <p className="flex justify-center gap-2">
          <Button kind="line" onClick={() => setAttempt(attempt + 1)}>
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
        Opening …
      </p>
    );
  return (
    <SessionProvider session={session} summary={summary}>
      <Shell />
    </SessionProvider>
  );
}
