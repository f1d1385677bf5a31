import {
  addPage,
  applyChange,
  type Edit,
  editOf,
  type HtmlElement,
  type Id,
  must,
  pageScope,
  renderBody,
  type Site,
} from '@cove/core';
import { createPage, PAGE_STARTERS } from '@cove/core/starters';
import { useMemo } from 'react';
import { staticMarkup } from '../../looks/option.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { asksFor } from '../asksFor.ts';
import { Library } from '../Library.tsx';
import { NotAdded, NothingToAdd } from '../NotAdded.tsx';
import { type Offer, type Offered, offerGroup } from '../offers.ts';
import { PictureSheet } from '../PictureSheet.tsx';
import type { LibraryProps } from '../useAdditions.ts';
import { useLibrary } from '../useLibrary.ts';

/** A page that can be made, last among the pages. */
interface PageToAdd {
  /** What its sections are called, from top to bottom. */
  sections: readonly string[];
  make(now: Site): { edits: Edit[]; id: Id };
}

const SIZE = { width: 196, height: 236 };
const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'Add and open'],
  ['← ↑ ↓ →', 'Choose a page'],
  ['Esc', 'Close'],
];

const READY: readonly Offered<PageToAdd>[] = PAGE_STARTERS.map(starter => ({
  id: starter.id,
  label: starter.label,
  about: '',
  words: starter.sections.map(it => it.label).join(' '),
  thing: { sections: starter.sections.map(it => it.label), make: now => createPage(now, starter) },
}));
const EMPTY: Offered<PageToAdd> = {
  id: 'empty',
  label: 'Empty page',
  about: '',
  words: 'blank plain new',
  thing: { sections: [], make: now => addPage(now, 'New page') },
};
const OFFERED = [offerGroup('Ready', READY), offerGroup('Empty', [EMPTY])];

/** All of them on a site, each drawn whole, by its id. */
function drawnPages(site: Site, siteId: string) {
  let now = site;
  const made = new Map<string, Id>();
  for (const { id, thing } of [...READY, EMPTY]) {
    const page = thing.make(now);
    // Navigation in the pictures lists the pages of the site, not these.
    const unlisted = editOf({ kind: 'page', id: page.id }).set('unlisted', true);
    now = must(applyChange(now, { edits: [...page.edits, unlisted] })).site;
    made.set(id, page.id);
  }
  const markup = new Map<string, HtmlElement>();
  for (const [id, page] of made) {
    const record = now.kinds.page.get(page);
    if (!record) continue;
    const { attrs, children } = renderBody(now, record, staticMarkup(siteId));
    markup.set(id, { tag: 'div', attrs: { class: attrs.class ?? null }, children });
  }
  const [first] = made.values();
  return { site: now, page: first ?? null, markup };
}

/** Ready pages and an empty one, in the place of the page that is open. */
export function PageLibrary({
  site,
  page,
  adding,
  onAdded,
}: LibraryProps & { site: Site; onAdded(page: Id): void }) {
  const session = useSession();
  const commit = useCommit();
  const library = useLibrary(OFFERED);
  const { offer, offers } = library;
  const record = site.kinds.page.get(page);
  const scheme = useMemo(() => (record ? pageScope(site, record).scheme : ''), [site, record]);
  const drawn = useMemo(() => drawnPages(site, session.id), [site, session]);
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
  const large = useMemo(
    () => [
      { id: 'preview', markup: drawn.markup.get(offer?.id ?? '') ?? null, zoom: 'window' as const, pad: 0 },
    ],
    [drawn, offer],
  );
  const asks = useMemo(() => (offer ? asksFor(offer.thing.make(site).edits) : ''), [site, offer]);
  const add = (which: Offer<PageToAdd> | null = offer) => {
    if (!which) return;
    const { edits, id } = which.thing.make(session.site);
    if (!commit(edits, 'Add a page')) return;
    adding.close();
    onAdded(id);
  };
  return (
    <>
      <Library
        library={library}
        noun="page"
        plural="Ready pages"
        examples={['questions', 'about', 'contact']}
        surface={surface}
        pictures={pictures}
        size={SIZE}
        onAdd={add}
        onClose={adding.close}
      />
      {offer ? (
        <NotAdded
          into={adding.preview}
          label={offer.label}
          facts={[
            ['Goes in', 'Last among the pages, in the navigation'],
            ['Holds', offer.thing.sections.length === 0 ? 'Nothing yet' : offer.thing.sections.join(', ')],
            ['Starts with', asks],
            ['Style', 'All from the guide'],
          ]}
          action="Add page"
          onAdd={() => add()}
          onClose={adding.close}
          keys={KEYS}
        >
          <PictureSheet surface={surface} pictures={large} className="px-4">
            <div data-picture="preview" className="mx-4 h-[340px] border border-hair" />
          </PictureSheet>
        </NotAdded>
      ) : (
        <NothingToAdd into={adding.preview} />
      )}
    </>
  );
}
