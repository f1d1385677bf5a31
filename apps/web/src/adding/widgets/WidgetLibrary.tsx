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
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Selection } from '../../onPage/useSelection.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { useMay } from '../../session/rights.tsx';
import { Button } from '../../ui/Button.tsx';
import { Library } from '../Library.tsx';
import type { Offer } from '../offers.ts';
import type { Place } from '../place.ts';
import { recentWidgets } from '../recent.ts';
import type { LibraryProps } from '../useAdditions.ts';
import { useLibrary } from '../useLibrary.ts';
import { drawnAlone, type FirstLook, firstLooks } from './looks.ts';
import { WidgetPreview } from './WidgetPreview.tsx';
import { widgetOffers } from './widgetOffers.ts';

const NOTHING: readonly Edit[] = [];
const SIZE = { width: 108, height: 54 };

/** What holds others, or shows pictures, is drawn smaller, so that more of it is seen. */
const zoomOf = ({ holds, family }: ElementType): number =>
  holds !== null || family === 'picture' || family === 'turns' ? 0.26 : 0.42;

interface Props extends LibraryProps {
  site: Site;
  selection: Selection;
  addable: readonly ElementType[];
  /** Asks for a section instead; null where none may be added. */
  onSection: (() => void) | null;
}

/** All widgets, in the gap where one is to be added. */
export function WidgetLibrary({ site, page, selection, addable, adding, onSection }: Props) {
  const session = useSession();
  const commit = useCommit();
  const mayGuide = useMay('guide');
  const { names } = useStore(recentWidgets.store);
  const offered = useMemo(() => widgetOffers(addable, names), [addable, names]);
  const library = useLibrary(offered);
  /** The look that was chosen for a widget; any other begins with its own. */
  const [chosen, setChosen] = useState<{ name: string; look: Id | null } | null>(null);
  /** The last of those that were added one after the other, behind which the next one goes. */
  const [last, setLast] = useState<Id | null>(null);
  const { offers, offer } = library;
  const { picked } = selection;
  const { setPlace } = adding;

  const placeIn = (now: Site, widget: string): Place | null => {
    const behind = getRecord(now, last ?? '');
    if (behind?.kind === 'widget' && placeFor(now, behind.at.parent, widget)?.parent === behind.at.parent)
      return {
        parent: behind.at.parent,
        index: nodesUnder(now, behind.at.parent).indexOf(behind.id) + 1,
      };
    const from = picked?.node ?? sectionsIn(now, page, 'main').at(-1)?.id;
    return from === undefined ? null : placeFor(now, from, widget);
  };
  const name = offer?.thing.name ?? null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: it follows the site, what is picked and what was added
  const place = useMemo(() => (name === null ? null : placeIn(site, name)), [site, name, picked, last]);
  useEffect(() => setPlace(place), [place, setPlace]);
  const scheme = useMemo(
    () => (place && nodeScope(site, page, place.parent)?.scheme) ?? [...site.kinds.scheme.keys()][0] ?? '',
    [site, page, place],
  );

  // The name of what is highlighted shows at once, its pictures as soon as they can.
  const drawn = useDeferredValue(name);
  const element = useMemo(() => (drawn === null ? null : elementNamed(drawn)), [drawn]);
  const looks = useMemo(() => element && firstLooks(site, element, mayGuide), [site, element, mayGuide]);
  const look: Id | null = chosen !== null && chosen.name === drawn ? chosen.look : (looks?.first ?? null);
  const pictures = useMemo(
    () =>
      offers.map(it => ({
        id: it.key,
        markup: drawnAlone(site, it.thing, {}, scheme, session.id),
        zoom: zoomOf(it.thing),
        pad: 8,
      })),
    [site, offers, scheme, session],
  );

  const add = (which: Offer<ElementType> | null = offer, { more } = { more: false }) => {
    const now = session.site;
    const there = which && placeIn(now, which.thing.name);
    if (!which || !there) return;
    const { name: widget, label } = which.thing;
    const first: FirstLook | undefined =
      chosen?.name === widget ? looks?.looks.find(it => it.variant === chosen.look) : undefined;
    const { edits: taken = NOTHING, id = null } = first?.take(now) ?? {};
    const variants = first && id !== null ? { [first.axis]: id } : {};
    const made = addWidget(now, there.parent, there.index, widget, variants);
    if (!commit([...taken, ...made.edits], `Add ${withArticle(label)}`)) return;
    recentWidgets.note(widget);
    selection.pickNode(made.id);
    if (more) setLast(made.id);
    else adding.close();
  };

  return (
    <>
      <Library
        library={library}
        noun="widget"
        plural="Widgets"
        examples={['faq', 'photo', 'price']}
        surface={{ site, page, scheme }}
        pictures={pictures}
        size={SIZE}
        onAdd={add}
        onClose={adding.close}
        links={
          onSection && (
            <Button kind="link" onClick={onSection}>
              Add a section instead
            </Button>
          )
        }
      />
      <WidgetPreview
        into={adding.preview}
        site={site}
        page={page}
        element={element}
        place={place}
        scheme={scheme}
        drawnOn={looks?.site ?? site}
        looks={looks?.looks ?? []}
        look={look}
        onLook={to => drawn !== null && setChosen({ name: drawn, look: to })}
        onAdd={more => add(offer, { more })}
        onClose={adding.close}
      />
    </>
  );
}
