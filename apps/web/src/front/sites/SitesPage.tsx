import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { answer, server } from '../../api/client.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import type { SiteSummary } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { SiteCard } from './SiteCard.tsx';
import { WORDS } from './words.ts';

/** From so many sites on they can be filtered. */
const MANY = 7;

/** All sites of a person as pictures; archived ones are folded away. */
export function SitesPage({ sites }: { sites: readonly SiteSummary[] }) {
  const [filter, setFilter] = useState('');
  const wanted = useDeferredValue(filter.trim().toLowerCase());
  const found = sites.filter(it => it.name.toLowerCase().includes(wanted));
  const current = found.filter(it => !it.archived);
  const archived = found.filter(it => it.archived);
  return (
    <div className="grid min-h-full grid-rows-[48px_minmax(0,1fr)]">
      <TopBar />
      <main className="mx-auto w-full max-w-[1320px] px-7 py-6">
        <div className="flex items-baseline gap-3 pb-4">
          <h1 className="text-[17px] font-semibold">{WORDS.title}</h1>
          <span className="mr-auto text-muted">{sites.filter(it => !it.archived).length}</span>
          {sites.length >= MANY && (
            <input
              type="search"
              aria-label={WORDS.find}
              placeholder={WORDS.find}
              value={filter}
              onChange={event => setFilter(event.target.value)}
              className="h-7 w-52 self-center rounded border border-hair bg-paper px-2"
            />
          )}
          <Link
            to="/new"
            className="inline-flex h-8 items-center self-center rounded border border-teal bg-teal px-3 font-semibold text-paper hover:opacity-90"
          >
            {WORDS.create}
          </Link>
        </div>
        {sites.length === 0 ? (
          <div className="grid place-content-center gap-1 border border-hair bg-paper py-20 text-center">
            <p className="text-[15px] font-semibold">{WORDS.none}</p>
            <p className="text-muted">{WORDS.noneHint}</p>
          </div>
        ) : found.length === 0 ? (
          <p role="status" className="text-muted">
            {WORDS.noMatch(filter.trim())}
          </p>
        ) : (
          <Cards sites={current} />
        )}
        {archived.length > 0 && (
          <details className="mt-8 border-t border-hair pt-3" open={wanted !== ''}>
            <summary className="cursor-pointer font-semibold">
              {WORDS.archived} <span className="font-normal text-muted">{archived.length}</span>
            </summary>
            <div className="pt-4">
              <Cards sites={archived} />
            </div>
          </details>
        )}
      </main>
    </div>
  );
}

const Cards = ({ sites }: { sites: readonly SiteSummary[] }) => (
  <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(340px,100%),1fr))] gap-x-8 gap-y-8">
    {sites.map(site => (
      <SiteCard key={site.id} site={site} />
    ))}
  </ul>
);

function TopBar() {
  const queries = useQueryClient();
  const who = useQuery({
    queryKey: queryKeys.who,
    queryFn: () => answer(server.GET('/api/session')),
    retry: false,
  });
  const signOut = async () => {
    await answer(server.DELETE('/api/session'));
    await queries.resetQueries();
  };
  return (
    <header className="flex items-center gap-5 border-b border-hair bg-paper px-7">
      <span className="mr-auto flex items-center gap-2 text-[14px] font-semibold">
        <svg viewBox="0 0 28 12" className="w-7" aria-hidden>
          <path d="M0 6h28" className="stroke-muted" strokeWidth="1.5" />
          <circle cx="14" cy="6" r="4.5" className="fill-madder" />
        </svg>
        Cove Thread
      </span>
      <Link to="/outbox" className="hover:text-teal hover:underline">
        Mail
      </Link>
      <Link to="/account" className="hover:text-teal hover:underline" aria-description={who.data?.email}>
        Your account
      </Link>
      <Button kind="link" onClick={() => void signOut()}>
        Sign out
      </Button>
    </header>
  );
}
