import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { RequestProblem, request } from '../api/request.ts';
import { useSites } from '../api/useSites.ts';
import { Button } from '../ui/Button.tsx';

/** The way in: sites where one is signed in, else the door. */
export function Welcome() {
  const sites = useSites();
  return (
    <main className="grid min-h-full place-content-center p-6">
      <div className="w-[340px]">
        <svg viewBox="0 0 340 44" className="mb-5 w-full" aria-hidden>
          <path
            d="M0 30c60 0 70-22 120-22s60 28 110 28 60-14 110-14"
            fill="none"
            className="stroke-madder"
            strokeWidth="1.5"
          />
          <circle cx="120" cy="8" r="4" className="fill-ground stroke-madder" strokeWidth="1.5" />
          <circle cx="230" cy="36" r="4" className="fill-madder stroke-madder" strokeWidth="1.5" />
        </svg>
        <h1 className="text-[22px] font-semibold tracking-tight">Cove Thread</h1>
        <p className="mt-1 mb-5 text-muted">
          One guide for a whole site. Every value on a page can be followed back to it.
        </p>
        {sites.isPending ? (
          <p role="status">Looking …</p>
        ) : sites.data ? (
          <Sites sites={sites.data} />
        ) : sites.error instanceof RequestProblem ? (
          <Door />
        ) : (
          <p role="alert">
            The server cannot be reached. Start it with ./cove start, then load this page again.
          </p>
        )}
      </div>
    </main>
  );
}

function Sites({ sites }: { sites: readonly { id: string; name: string; role: string }[] }) {
  const queries = useQueryClient();
  const signOut = async () => {
    await request('DELETE', '/api/session');
    await queries.resetQueries();
  };
  return (
    <>
      {sites.length === 0 ? (
        <p>You are a member of no site yet.</p>
      ) : (
        <ul className="border-t border-hair">
          {sites.map(site => (
            <li key={site.id} className="border-b border-hair">
              <Link
                to={`/sites/${site.id}/guide`}
                className="flex items-baseline justify-between py-2.5 font-semibold hover:text-teal"
              >
                {site.name} <span className="font-normal text-muted">{site.role}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <Button kind="link" className="mt-4" onClick={() => void signOut()}>
        Sign out
      </Button>
    </>
  );
}

function Door() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const demo = useQuery({
    queryKey: ['demo'],
    queryFn: () => request<{ offered: boolean }>('GET', '/api/demo'),
  });

  const enter = async (path: string, body: object, then: string) => {
    setBusy(true);
    setProblem(null);
    try {
      await request('POST', path, body);
      await queries.resetQueries({ queryKey: ['sites'] });
      void navigate(then);
    } catch (error) {
      setProblem(
        error instanceof RequestProblem ? error.message : 'The server cannot be reached. Try again.',
      );
    } finally {
      setBusy(false);
    }
  };
  const signIn = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    void enter(
      '/api/session',
      { email: String(form.get('email') ?? ''), password: String(form.get('password') ?? '') },
      '/',
    );
  };
  const field = 'mt-0.5 h-8 w-full rounded border border-hair bg-paper px-2';
  return (
    <>
      {demo.data?.offered && (
        <Button
          kind="main"
          className="h-9! w-full justify-center"
          disabled={busy}
          onClick={() => void enter('/api/demo/session', {}, '/sites/tolvane/guide')}
        >
          Enter the demo
        </Button>
      )}
      <form onSubmit={signIn} className="mt-5 grid gap-3 border-t border-hair pt-4">
        <label className="block">
          <span className="label-line">E-mail</span>
          <input name="email" type="email" required autoComplete="username" className={field} />
        </label>
        <label className="block">
          <span className="label-line">Password</span>
          <input name="password" type="password" required autoComplete="current-password" className={field} />
        </label>
        {problem && (
          <p role="alert" className="text-madder">
            {problem}
          </p>
        )}
        <Button type="submit" kind="line" className="justify-self-start" disabled={busy}>
          Sign in
        </Button>
      </form>
    </>
  );
}
