import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import type { SiteSummary } from '../api/types.ts';
import { useSites } from '../api/useSites.ts';
import { EMAIL, Field, Form } from '../forms/Form.tsx';
import { Button } from '../ui/Button.tsx';
import { Front } from './Front.tsx';

/** The way in: sites where one is signed in, else the door. */
export function Welcome() {
  const sites = useSites();
  return (
    <Front
      title="Cove Thread"
      lead="One guide for a whole site. Every value on a page can be followed back to it."
    >
      {sites.isPending ? (
        <p role="status">Loading…</p>
      ) : sites.error instanceof RequestProblem && sites.error.status === 401 ? (
        <Door />
      ) : sites.data ? (
        <Sites sites={sites.data} />
      ) : (
        <p role="alert">
          {sites.error instanceof RequestProblem
            ? problemText(sites.error)
            : 'The server cannot be reached. Start it with ./cove start, then load this page again.'}
        </p>
      )}
    </Front>
  );
}

function Sites({ sites }: { sites: readonly SiteSummary[] }) {
  const queries = useQueryClient();
  const signOut = async () => {
    await answer(server.DELETE('/api/session'));
    await queries.resetQueries();
  };
  return (
    <>
      {sites.length === 0 ? (
        <p>
          You have no sites yet. Create one, open an invitation, or read <Link to="/outbox">your mail</Link>.
        </p>
      ) : (
        <ul className="border-t border-hair">
          {sites.map(site => (
            <li key={site.id} className="border-b border-hair">
              <Link
                to={`/sites/${site.id}`}
                className="flex items-baseline justify-between py-2.5 font-semibold hover:text-teal"
              >
                {site.name} <span className="font-normal text-muted">{site.role}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-4 flex items-center gap-4 text-teal">
        <Link to="/new" className="hover:underline">
          New site
        </Link>
        <Link to="/account" className="hover:underline">
          Your account
        </Link>
        <Link to="/outbox" className="hover:underline">
          Mail
        </Link>
        <Button kind="link" onClick={() => void signOut()}>
          Sign out
        </Button>
      </p>
    </>
  );
}

interface SignIn {
  email: string;
  password: string;
}

function Door() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const demo = useQuery({
    queryKey: queryKeys.demo,
    queryFn: () => answer(server.GET('/api/demo')),
  });
  const to = params.get('to');
  const enter = async (signIn: Promise<unknown>, then: string) => {
    await signIn;
    await queries.resetQueries({ queryKey: queryKeys.sites });
    // Only ever back into the program itself.
    void navigate(to?.startsWith('/') && !to.startsWith('//') ? to : then);
  };
  const enterDemo = async () => {
    setBusy(true);
    setProblem(null);
    try {
      await enter(answer(server.POST('/api/demo/session')), '/sites/tolvane/guide');
    } catch (error) {
      setProblem(problemText(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      {demo.data?.offered && (
        <Button
          kind="main"
          className="h-9! w-full justify-center"
          disabled={busy}
          onClick={() => void enterDemo()}
        >
          Enter the demo
        </Button>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-madder">
          {problem}
        </p>
      )}
      <div className="mt-5 border-t border-hair pt-4">
        <Form<SignIn>
          submit="Sign in"
          start={{ email: '', password: '' }}
          send={body => enter(answer(server.POST('/api/session', { body })), '/')}
        >
          <Field<SignIn> name="email" label="Email" type="email" autoComplete="username" rules={EMAIL} />
          <Field<SignIn>
            name="password"
            label="Password"
            type="password"
            autoComplete="current-password"
            rules={{ required: 'Enter your password.' }}
          />
        </Form>
        <p className="mt-4 text-muted">
          New here, or forgot your password?{' '}
          <Link to={`/account/ask${location.hash}`} className="text-teal underline">
            Email me a link
          </Link>
        </p>
      </div>
    </>
  );
}
