import { useMemo, useState } from 'react';
import { foundAmong, type Offer, type OfferGroup } from './offers.ts';

/** What is looked for in a library, what is found, and which of it is highlighted. */
export function useLibrary<Thing>(offered: readonly OfferGroup<Thing>[]) {
  const [query, setQuery] = useState('');
  const [key, setKey] = useState<string | null>(null);
  const groups = useMemo(() => foundAmong(offered, query), [offered, query]);
  const offers = useMemo(() => groups.flatMap(it => it.offers), [groups]);
  const offer: Offer<Thing> | null = offers.find(it => it.key === key) ?? offers[0] ?? null;
  return {
    query,
    setQuery: (text: string) => {
      setQuery(text);
      setKey(null);
    },
    groups,
    offers,
    offer,
    highlight: (to: Offer<Thing>) => setKey(to.key),
  };
}
export type LibraryState<Thing> = ReturnType<typeof useLibrary<Thing>>;
