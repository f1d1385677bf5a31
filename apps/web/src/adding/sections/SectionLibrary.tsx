import { type Id, type LaidInArea, pageScope, type Site } from '@cove/core';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { problemText } from '../../api/problemText.ts';
import { staticMarkup } from '../../looks/option.ts';
import { type KeptSection, useForgetSection, useKeptSections } from '../../sections/useKeptSections.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Library } from '../Library.tsx';
import { type Offer, offerGroup, recentAmong } from '../offers.ts';
import { recentSections } from '../recent.ts';
import type { LibraryProps } from '../useAdditions.ts';
import { useLibrary } from '../useLibrary.ts';
import { drawnSections } from './drawnSections.ts';
import { SectionPreview } from './SectionPreview.tsx';
import { type SectionToAdd, sectionOffers } from './sectionOffers.ts';

const NONE: readonly KeptSection[] = [];
const SIZE = { width: 196, height: 124 };

interface Props extends LibraryProps {
  site: Site;
  /** Its place among the sections of the page. */
  index: number;
  onAdded(section: Id): void;
  /** Asks for a widget instead. */
  onWidget(): void;
}

/** Ready sections and one’s own, in the gap where one is to be added. */
export function SectionLibrary({ site, page, index: first, adding, onAdded, onWidget }: Props) {
  const session = useSession();
  const commit = useCommit();
  const kept = useKeptSections();
  const forget = useForgetSection();
  const { names } = useStore(recentSections.store);
  const groups = useMemo(() => sectionOffers(kept.data ?? NONE), [kept.data]);
  const all = useMemo(() => groups.flatMap(it => it.offers), [groups]);
  const offered = useMemo(
    () => [offerGroup('Recent', recentAmong(all, names)), ...groups],
    [all, groups, names],
  );
  const library = useLibrary(offered);
  const [how, setHow] = useState<LaidInArea>('instead');
  /** How many were added one after the other. */
  const [added, setAdded] = useState(0);
  const { offer, offers } = library;
  const { setPlace, preview, close } = adding;
  const index = first + added;
  useEffect(() => setPlace({ parent: page, index }), [page, index, setPlace]);

  const record = site.kinds.page.get(page);
  const scheme = useMemo(() => (record ? pageScope(site, record).scheme : ''), [site, record]);
  // All are drawn, whatever is looked for: what is found shows at once.
  const drawn = useMemo(() => drawnSections(site, all, staticMarkup(session.id)), [site, all, session]);
  const surface = useMemo(() => ({ site: drawn.site, page: drawn.page, scheme }), [drawn, scheme]);
  const pictures = useMemo(
    () =>
      offers.map(it => ({
        id: it.key,
        markup: drawn.markup.get(it.id) ?? null,
        zoom: 'window' as const,
        pad: 0,
      })),
    [offers, drawn],
  );

  const add = (which: Offer<SectionToAdd> | null = offer, { more } = { more: false }) => {
    const made = which?.thing.lay(session.site, page, index, how);
    if (!which || !made || !commit(made.edits, 'Add a section')) return;
    recentSections.note(which.id);
    onAdded(made.id);
    if (!more) close();
    else if (which.thing.area === null) setAdded(count => count + 1);
  };

  return (
    <>
      <Library
        library={library}
        noun="section"
        plural="Sections"
        examples={['questions', 'gallery', 'contact']}
        surface={surface}
        pictures={pictures}
        size={SIZE}
        onAdd={add}
        onClose={close}
        links={
          <Button kind="link" onClick={onWidget}>
            Add a widget instead
          </Button>
        }
        foot={
          <div className="border-t border-hair px-4 py-2 text-muted">
            {kept.isPending ? (
              <p>Loading your own sections…</p>
            ) : kept.error ? (
              <p>Your own sections: {problemText(kept.error)}</p>
            ) : (
              kept.data.length === 0 && (
                <p>None of your own yet. Select a section and choose “Save as your own”.</p>
              )
            )}
            {kept.data
              ?.filter(it => it.clip === null)
              .map(({ id, name }) => (
                <p key={id}>
                  {name}: this version of the program cannot read it. It is kept.{' '}
                  <Button kind="link" aria-label={`Forget ${name}`} onClick={() => forget.mutate(id)}>
                    Forget
                  </Button>
                </p>
              ))}
          </div>
        }
      />
      <SectionPreview
        into={preview}
        site={site}
        page={page}
        index={index}
        offer={offer}
        surface={surface}
        markup={drawn.markup.get(offer?.id ?? '') ?? null}
        how={how}
        onHow={setHow}
        onAdd={() => add()}
        onForget={() => offer && forget.mutate(offer.id)}
        onClose={close}
      />
    </>
  );
}
