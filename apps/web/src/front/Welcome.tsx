import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import { useSites } from '../api/useSites.ts';
import { EMAIL, Field, Form } from '../forms/Form.tsx';
import { Button } from '../ui/Button.tsx';
import { Front } from './Front.tsx';

const SitesPage = lazy(async () => ({ default: (await import('./sites/SitesPage.tsx')).SitesPage }));

/** The way in: sites where one is signed in, else the door. */
export function Welcome() {
  const sites = useSites();
  // Whose session has ended may still have the list that was read before.
  const isOut = sites.error instanceof RequestProblem && sites.error.status === 401;
  if (sites.data && !isOut)
    return (
      <Suspense fallback={<p className="p-4 text-muted">Loading…</p>}>
        <SitesPage sites={sites.data} />
      </Suspense>
    );
  return (
    <Front
      title="Cove Thread"
      lead="One guide for a whole site. Every value on a page can be followed back to it."
    >
      {sites.isPending ? (
        <p role="status">Loading…</p>
      ) : isOut ? (
        <Door />
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
