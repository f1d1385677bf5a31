import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import type { SiteSummary } from '../api/types.ts';
import { EMAIL, Field, Form } from '../forms/Form.tsx';
import { useOpened, useSessionState, useSite } from '../session/context.tsx';
import type { Presence } from '../session/streamMessages.ts';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';
import { whereabouts } from './whereabouts.ts';

type Role = SiteSummary['role'];
type KeeperMay = SiteSummary['keeperMay'];

const ROLES: readonly { value: Role; label: string; does: string }[] = [
  { value: 'designer', label: 'Designer', does: 'can set up the guide and build the pages' },
  { value: 'keeper', label: 'Keeper', does: 'can edit the site, as far as chosen below' },
  { value: 'reviewer', label: 'Reviewer', does: 'can look, and change nothing' },
];
const KEEPER_MAY: readonly { value: KeeperMay; label: string }[] = [
  { value: 'content', label: 'words and pictures' },
  { value: 'choice', label: 'text, pictures and choices from the guide' },
  { value: 'style', label: 'everything but the guide' },
];

/** Who is at the site now; opens the sheet of all who belong to it. */
export function People() {
  const { summary } = useOpened();
  const people = useSessionState(state => state.people);
  const names = [...new Set(people.map(it => it.name))];
  const label =
    names.length === 0
      ? 'People'
      : names.length === 1
        ? `${names[0]} is here`
        : `${names[0]} and ${names.length - 1} more are here`;
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <Button className="max-w-44" title="Members, and who is here now">
          <span className="truncate">{label}</span>
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className="thin-scroll fixed inset-y-0 right-0 z-50 w-[400px] overflow-auto border-l border-hair bg-paper p-5 text-base text-ink shadow-lg"
        >
          <div className="mb-4 flex items-baseline">
            <Dialog.Title className="mr-auto text-[15px] font-semibold">
              People at {summary.name}
            </Dialog.Title>
            <Dialog.Close asChild>
              <Button kind="link">Close</Button>
            </Dialog.Close>
          </div>
          <Here people={people} />
          <Members />
          {summary.role === 'designer' && <Invitations />}
          <p className="mt-6 flex gap-4 border-t border-hair pt-3 text-teal">
            <Link to="/account" className="hover:underline">
              Your account
            </Link>
            <Link to="/outbox" className="hover:underline">
              Mail
            </Link>
            <Link to="/" className="hover:underline">
              All sites
            </Link>
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Here({ people }: { people: readonly Presence[] }) {
  const { summary } = useOpened();
  const site = useSite();
  if (people.length === 0) return null;
  return (
    <section aria-labelledby="here-now" className="mb-5">
      <h3 id="here-now" className="label-line mb-1">
        Here now
      </h3>
      <ul>
        {people.map(({ client, name, place }) => {
          const { words, to } = whereabouts(site, summary.id, place);
          return (
            <li key={client} className="flex gap-2 py-0.5">
              <span className="mr-auto">{name}</span>
              <Link to={to} className="truncate text-teal hover:underline">
                {words}
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Runs a request and reads what it altered anew; failures are told. */
function useAct(key: readonly string[]) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (act: () => Promise<unknown>) => act(),
    onError: error => toast.error(problemText(error)),
    onSettled: () => queries.invalidateQueries({ queryKey: key }),
  });
}

function Members() {
  const { summary } = useOpened();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const site = summary.id;
  const key = queryKeys.members(summary.id);
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => answer(server.GET('/api/sites/{site}/members', { params: { path: { site } } })),
  });
  const act = useAct(key);
  const isDesigner = summary.role === 'designer';
  const designers = data?.filter(it => it.role === 'designer').length ?? 0;
  const leave = async () => {
    try {
      await answer(server.DELETE('/api/sites/{site}/members/me', { params: { path: { site } } }));
      await queries.invalidateQueries({ queryKey: queryKeys.sites });
      void navigate('/');
    } catch (problem) {
      toast.error(problemText(problem));
    }
  };
  if (error) return <p role="alert">{problemText(error)}</p>;
  if (!data) return <p role="status">Loading…</p>;
  return (
    <>
      <section aria-labelledby="members" className="mb-5">
        <h3 id="members" className="label-line mb-1">
          Members
        </h3>
        <ul className="border-t border-hair">
          {data.map(({ account, name, email, role }) => (
            <li
              key={account}
              className="grid grid-cols-[1fr_104px_56px] items-center gap-2 border-b border-hair py-1.5"
            >
              <span className="min-w-0">
                <span className="block truncate">{name}</span>
                <span className="block truncate text-small text-muted">{email}</span>
              </span>
              {isDesigner && !(role === 'designer' && designers === 1) ? (
                <>
                  <Select
                    hideLabel
                    label={`Role of ${name}`}
                    value={role}
                    options={ROLES}
                    onChange={value =>
                      act.mutate(() =>
                        answer(
                          server.PUT('/api/sites/{site}/members/{account}', {
                            params: { path: { site, account } },
                            body: { role: value },
                          }),
                        ),
                      )
                    }
                  />
                  <Button
                    kind="link"
                    className="justify-end"
                    aria-label={`Take ${name} out`}
                    onClick={() =>
                      act.mutate(() =>
                        answer(
                          server.DELETE('/api/sites/{site}/members/{account}', {
                            params: { path: { site, account } },
                          }),
                        ),
                      )
                    }
                  >
                    Take out
                  </Button>
                </>
              ) : (
                <span className="col-span-2 text-right text-muted">
                  {isDesigner ? 'the only designer' : role}
                </span>
              )}
            </li>
          ))}
        </ul>
        {!isDesigner && (
          <Button kind="link" className="mt-1" onClick={() => void leave()}>
            Leave this site
          </Button>
        )}
      </section>
      {isDesigner && (
        <section className="mb-5">
          <Select
            label="A keeper may change"
            value={summary.keeperMay}
            options={KEEPER_MAY}
            onChange={keeperMay =>
              act.mutate(async () => {
                await answer(
                  server.PUT('/api/sites/{site}/keeper', { params: { path: { site } }, body: { keeperMay } }),
                );
                await queries.invalidateQueries({ queryKey: queryKeys.sites });
              })
            }
          />
        </section>
      )}
    </>
  );
}

interface Invite {
  email: string;
}

function Invitations() {
  const { summary } = useOpened();
  const site = summary.id;
  const key = queryKeys.invitations(summary.id);
  const queries = useQueryClient();
  const [role, setRole] = useState<Role>('keeper');
  const [made, setMade] = useState<{ email: string; link: string } | null>(null);
  const { data = [] } = useQuery({
    queryKey: key,
    queryFn: () => answer(server.GET('/api/sites/{site}/invitations', { params: { path: { site } } })),
  });
  const act = useAct(key);
  return (
    <section aria-labelledby="invite">
      <h3 id="invite" className="label-line mb-1">
        Invite
      </h3>
      <Form<Invite>
        submit="Send an invitation"
        start={{ email: '' }}
        className="grid gap-2"
        send={async ({ email }) => {
          const { link } = await answer(
            server.POST('/api/sites/{site}/invitations', {
              params: { path: { site } },
              body: { email, role },
            }),
          );
          setMade({ email, link });
          await queries.invalidateQueries({ queryKey: key });
        }}
      >
        <Field<Invite> name="email" label="Email" type="email" autoComplete="off" rules={EMAIL} />
        <Select<Role>
          label="As"
          value={role}
          options={ROLES.map(({ value, label, does }) => ({ value, label: `${label}: ${does}` }))}
          onChange={setRole}
        />
      </Form>
      {made && (
        <p role="status" className="mt-2">
          Sent to {made.email}. You can also pass on the link yourself. It works once:
          <input
            readOnly
            aria-label="Link of the invitation"
            value={made.link}
            onFocus={event => event.currentTarget.select()}
            className="mt-1 h-7 w-full rounded border border-hair bg-ground px-2 font-mono text-[11px]"
          />
        </p>
      )}
      {data.length > 0 && (
        <ul aria-label="Open invitations" className="mt-3 border-t border-hair">
          {data.map(it => (
            <li key={it.id} className="flex items-center gap-2 border-b border-hair py-1">
              <span className="mr-auto truncate">{it.email}</span>
              <span className="text-muted">{it.role}</span>
              <Button
                kind="link"
                aria-label={`Withdraw the invitation of ${it.email}`}
                onClick={() =>
                  act.mutate(() =>
                    answer(
                      server.DELETE('/api/sites/{site}/invitations/{invitation}', {
                        params: { path: { site, invitation: it.id } },
                      }),
                    ),
                  )
                }
              >
                Withdraw
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
