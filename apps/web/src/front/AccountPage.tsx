import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, Navigate } from 'react-router';
import { toast } from 'sonner';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import { Field, Form, NAME, NEW_PASSWORD } from '../forms/Form.tsx';
import { Button } from '../ui/Button.tsx';
import { Front } from './Front.tsx';

interface Passwords {
  current: string;
  password: string;
}

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** A browser’s name out of what it says of itself. */
function browserOf(agent: string): string {
  const browser = /(Firefox|Edg|Chrome|Safari)\/[\d.]+/.exec(agent)?.[1] ?? 'A browser';
  const system = /(Windows|Mac OS X|Android|iPhone|Linux)/.exec(agent)?.[1];
  return `${browser === 'Edg' ? 'Edge' : browser}${system ? ` on ${system}` : ''}`;
}

/** One’s own account: the name, the password, and where one is signed in. */
export function AccountPage() {
  const queries = useQueryClient();
  const who = useQuery({
    queryKey: queryKeys.who,
    queryFn: () => answer(server.GET('/api/session')),
    retry: false,
  });
  const sessions = useQuery({
    queryKey: queryKeys.sessions,
    queryFn: () => answer(server.GET('/api/account/sessions')),
    retry: false,
  });
  if (who.error instanceof RequestProblem && who.error.status === 401)
    return <Navigate to="/?to=/account" replace />;
  const end = async (ended: Promise<void>) => {
    try {
      await ended;
    } catch (error) {
      toast.error(problemText(error));
    }
    await queries.invalidateQueries({ queryKey: queryKeys.sessions });
  };
  const others = sessions.data?.filter(it => !it.current) ?? [];
  return (
    <Front title="Your account" lead={who.data?.email ?? (who.error ? problemText(who.error) : 'Loading…')}>
      {who.data && (
        <div className="grid gap-7">
          <Form<{ name: string }>
            key={who.data.name}
            submit="Rename"
            start={{ name: who.data.name }}
            send={async body => {
              await answer(server.PUT('/api/account/name', { body }));
              await queries.invalidateQueries({ queryKey: queryKeys.who });
            }}
          >
            <Field<{ name: string }> name="name" label="Display name" autoComplete="name" rules={NAME} />
          </Form>
          <Form<Passwords>
            submit="Change password"
            start={{ current: '', password: '' }}
            send={async body => {
              await answer(server.PUT('/api/account/password', { body }));
              await queries.invalidateQueries({ queryKey: queryKeys.sessions });
              toast('Password changed. You have been signed out everywhere else.');
            }}
          >
            <Field<Passwords>
              name="current"
              label="Current password"
              type="password"
              autoComplete="current-password"
              rules={{ required: 'Enter your current password.' }}
            />
            <Field<Passwords>
              name="password"
              label="New password"
              type="password"
              autoComplete="new-password"
              rules={NEW_PASSWORD}
            />
          </Form>
          <section aria-labelledby="signed-in-at">
            <h2 id="signed-in-at" className="label-line mb-1">
              Active sessions
            </h2>
            <ul className="border-t border-hair">
              {sessions.data?.map(it => (
                <li key={it.id} className="flex items-center border-b border-hair py-1.5">
                  <span className="mr-auto">
                    {browserOf(it.agent)}
                    <span className="block text-small text-muted">
                      {it.current ? 'this session' : `last seen ${when.format(new Date(it.seenAt))}`}
                    </span>
                  </span>
                  {!it.current && (
                    <Button
                      kind="link"
                      onClick={() =>
                        void end(
                          answer(
                            server.DELETE('/api/account/sessions/{session}', {
                              params: { path: { session: it.id } },
                            }),
                          ),
                        )
                      }
                    >
                      End
                    </Button>
                  )}
                </li>
              ))}
            </ul>
            {others.length > 1 && (
              <Button
                kind="line"
                className="mt-2"
                onClick={() => void end(answer(server.DELETE('/api/account/sessions')))}
              >
                Sign out everywhere else
              </Button>
            )}
          </section>
        </div>
      )}
      <p className="mt-6">
        <Link to="/" className="text-teal underline">
          Back to your sites
        </Link>
      </p>
    </Front>
  );
}
