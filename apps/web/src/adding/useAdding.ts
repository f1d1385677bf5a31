import {
  addWidget,
  type Edit,
  type ElementType,
  elementNamed,
  getRecord,
  type Id,
  nodeScope,
  nodesUnder,
  placeFor,
  type Site,
  sectionsIn,
  withArticle,
} from '@cove/core';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { Selection } from '../onPage/useSelection.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { type FirstLook, firstLooks } from './looks.ts';
import { type Offer, type OfferGroup, offerGroups } from './offers.ts';
import type { Place } from './place.ts';
import { noteAdded, recent } from './recent.ts';

const NOTHING: readonly Edit[] = [];

/** Adding a widget from the library: what is offered, which one is highlighted, in which look, and where it would stand. */
export function useAdding(site: Site, page: Id, selection: Selection, addable: readonly ElementType[]) {
  const session = useSession();
  const commit = useCommit();
  const mayGuide = useMay('guide');
  const { names } = useStore(recent);
  const [open, setOpen] = useState(false);
  const [query, setQuery] = useState('');
  const [key, setKey] = useState<string | null>(null);
  /** The look that was chosen for a widget; any other begins with its own. */
  const [chosen, setChosen] = useState<{ name: string; look: Id | null } | null>(null);
  /** The last of those that were added one after the other, behind which the next one goes. */
  const [last, setLast] = useState<Id | null>(null);

  /** What had the focus, and has it again once the library is closed. */
  const cameFrom = useRef<HTMLElement | null>(null);

  const groups = useMemo(
    (): readonly OfferGroup[] => (open ? offerGroups(addable, names, query) : []),
    [open, addable, names, query],
  );
  const offers = useMemo(() => groups.flatMap(it => it.offers), [groups]);
  const offer: Offer | null = offers.find(it => it.key === key) ?? offers[0] ?? null;

  const placeIn = (now: Site, widget: string): Place | null => {
    const behind = getRecord(now, last ?? '');
    if (behind?.kind === 'widget' && placeFor(now, behind.at.parent, widget)?.parent === behind.at.parent)
      return {
        parent: behind.at.parent,
        index: nodesUnder(now, behind.at.parent).indexOf(behind.id) + 1,
      };
    const from = selection.picked?.node ?? sectionsIn(now, page, 'main').at(-1)?.id;
    return from === undefined ? null : placeFor(now, from, widget);
  };
  const name = offer?.element.name ?? null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: it follows the site, what is picked and what was added
  const place = useMemo(
    () => (open && name !== null ? placeIn(site, name) : null),
    [open, site, name, selection.picked, last],
  );
  const scheme = useMemo(
    () => (place && nodeScope(site, page, place.parent)?.scheme) ?? [...site.kinds.scheme.keys()][0] ?? '',
    [site, page, place],
  );

  // The name of what is highlighted shows at once, its pictures as soon as they can.
  const drawn = useDeferredValue(name);
  const looks = useMemo(
    () => (drawn === null ? null : firstLooks(site, elementNamed(drawn), mayGuide)),
    [site, drawn, mayGuide],
  );
  const look: Id | null = chosen !== null && chosen.name === drawn ? chosen.look : (looks?.first ?? null);

  const close = () => {
    setOpen(false);
    requestAnimationFrame(() => cameFrom.current?.focus());
    setQuery('');
    setKey(null);
    setLast(null);
  };
  const begin = useCallback(() => {
    const { activeElement } = document;
    cameFrom.current = activeElement instanceof HTMLElement ? activeElement : null;
    setLast(null);
    setOpen(true);
  }, []);
  /** Adds what is highlighted; with `more`, the library stays for the next one. */
  const add = (which: Offer | null = offer, { more = false } = {}) => {
    const now = session.site;
    const there = which && placeIn(now, which.element.name);
    if (!which || !there) return;
    const widget = which.element.name;
    const picked: FirstLook | undefined =
      chosen?.name === widget ? looks?.looks.find(it => it.variant === chosen.look) : undefined;
    const { edits: taken = NOTHING, id = null } = picked?.take(now) ?? {};
    const variants = picked && id !== null ? { [picked.axis]: id } : {};
    const made = addWidget(now, there.parent, there.index, widget, variants);
    if (!commit([...taken, ...made.edits], `Add ${withArticle(which.element.label)}`)) return;
    noteAdded(widget);
    selection.pickNode(made.id);
    if (more) setLast(made.id);
    else close();
  };

  return {
    open,
    begin,
    close,
    query,
    setQuery: (text: string) => {
      setQuery(text);
      setKey(null);
    },
    groups,
    offers,
    offer,
    highlight: (to: Offer) => setKey(to.key),
    place,
    scheme,
    looks: looks?.looks ?? [],
    /** The site with all looks in it that pictures are drawn in. */
    drawnOn: looks?.site ?? site,
    drawnName: drawn,
    look,
    chooseLook: (to: Id | null) => drawn !== null && setChosen({ name: drawn, look: to }),
    add,
  };
}
export type Adding = ReturnType<typeof useAdding>;
