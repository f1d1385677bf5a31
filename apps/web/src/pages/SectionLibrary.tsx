import {
  type Area,
  addPage,
  addToArea,
  applyChange,
  type Clip,
  editOf,
  type Id,
  type LaidInArea,
  type Made,
  must,
  pasteThings,
  removeNodes,
  SETTINGS,
  type SharedArea,
  type Site,
  sectionsIn,
} from '@cove/core';
import { createSection, PURPOSES, type Purpose, SECTION_STARTERS, sharedAreaOf } from '@cove/core/starters';
import { useMemo, useRef, useState } from 'react';
import { problemText } from '../api/problemText.ts';
import { StaticPage } from '../canvas/StaticPage.tsx';
import { type KeptSection, useForgetSection, useKeptSections } from '../sections/useKeptSections.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { useLatest } from '../ui/useLatest.ts';

const NAMES: Record<Purpose | 'own', string> = {
  opening: 'Opening',
  content: 'Content',
  features: 'Features',
  proof: 'Proof',
  action: 'Call to action',
  contact: 'Contact',
  header: 'Header',
  footer: 'Footer',
  own: 'Your own',
};

/** A section that can be laid on a page or in what pages share: a ready one, or one's own. */
interface Offered {
  id: string;
  label: string;
  own: boolean;
  lay(now: Site, page: Id, index: number, how: LaidInArea): Made | null;
}

const ready = (purpose: Purpose): Offered[] => {
  const area = sharedAreaOf(purpose);
  return SECTION_STARTERS.filter(it => it.purpose === purpose).map(starter => ({
    id: starter.id,
    label: starter.label,
    own: false,
    lay: (now, page, index, how) =>
      area === null
        ? createSection(now, page, index, starter)
        : addToArea(now, page, area, how, at => createSection(now, SETTINGS, at, starter, area)),
  }));
};

/** The area that a kept section stood in. */
const areaOfClip = ({ things }: Clip): Area => {
  const root = things[0]?.[0];
  return root?.kind === 'section' ? root.area : 'main';
};
const own = (kept: readonly KeptSection[], area: SharedArea | null): Offered[] =>
  kept
    .flatMap(({ clip, ...it }) => (clip && areaOfClip(clip) === (area ?? 'main') ? [{ ...it, clip }] : []))
    .map(({ id, name, clip }) => {
      const paste = (now: Site, parent: Id, index: number): Made | null => {
        const pasted = pasteThings(now, clip, parent, index, 'tie', area ?? 'main');
        const [first] = pasted.ok ? pasted.value.ids : [];
        return pasted.ok && first !== undefined ? { edits: pasted.value.edits, id: first } : null;
      };
      return {
        id,
        label: name,
        own: true,
        lay: (now, page, index, how) =>
          area === null
            ? paste(now, page, index)
            : addToArea(now, page, area, how, at => paste(now, SETTINGS, at)),
      };
    });

/** A page that is nobody's, with all that is offered on it, in the looks of the site's own guide. */
function pictured(
  site: Site,
  title: string,
  offered: readonly Offered[],
  area: SharedArea | null,
): { site: Site; page: Id; sections: ReadonlyMap<Id, Offered> } {
  const made = addPage(site, title);
  // Navigation in the pictures lists the pages of the site, not this one.
  const unlisted = editOf({ kind: 'page', id: made.id }).set('unlisted', true);
  let now = must(applyChange(site, { edits: [...made.edits, unlisted] })).site;
  const there = area === null ? [] : sectionsIn(now, made.id, area).map(it => it.id);
  now = must(applyChange(now, { edits: removeNodes(now, there) })).site;
  const sections = new Map<Id, Offered>();
  for (const offer of offered) {
    const laid = offer.lay(now, made.id, sections.size, 'below');
    const applied = laid && applyChange(now, { edits: laid.edits });
    if (!laid || !applied?.ok) continue;
    now = applied.value.site;
    sections.set(laid.id, offer);
  }
  return { site: now, page: made.id, sections };
}

/**
 * One area alone, each section as wide as a window of the page: on a page two abreast at half their size, else, as they are
 * wide and low, one below the other.
 */
const drawnAlone = (area: SharedArea | null): string =>
  `[data-area]:not([data-area=${area ?? 'main'}]){display:none}[data-area=${area ?? 'main'}]{${area === null ? 'zoom:.5;' : ''}display:grid;grid-template-columns:repeat(${area === null ? 2 : 1},minmax(0,1fr));gap:44px;align-items:start;padding:8px}[data-area]>*{position:relative!important;cursor:pointer;outline:2px solid #0003;content-visibility:visible!important}[data-area]>:hover{outline:6px solid oklch(.43 .075 205)}`;

/** Ready sections sorted by what they are for, drawn live in this site's guide; choosing one puts it where it was asked for. */
export function SectionLibrary({
  site,
  onTake,
  onEmpty,
  onClose,
}: {
  site: Site;
  onTake(make: (now: Site) => (page: Id, index: number) => Made | null): void;
  onEmpty(): void;
  onClose(): void;
}) {
  const [purpose, setPurpose] = useState<Purpose | 'own'>('opening');
  const kept = useKeptSections();
  const forget = useForgetSection();
  const [how, setHow] = useState<LaidInArea>('instead');
  const area = purpose === 'own' ? null : sharedAreaOf(purpose);
  const drawn = useMemo(
    () =>
      pictured(
        site,
        NAMES[purpose],
        // One's own headers and footers are among those, since they go to the same place.
        [
          ...(purpose === 'own' ? [] : ready(purpose)),
          ...(purpose === 'own' || area !== null ? own(kept.data ?? [], area) : []),
        ],
        area,
      ),
    [site, purpose, area, kept.data],
  );
  const shown = useRef<Document | null>(null);
  // Asked as it is taken: the picture is listened to once.
  const chosen = useLatest(how);
  const take = (offer: Offered) =>
    onTake(now => (page, index) => offer.lay(now, page, index, chosen.current));
  const bring = (id: Id) =>
    shown.current?.querySelector(`[data-node="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' });
  return (
    <Sheet wide title="Add a section" about="Shown in this site’s guide." onClose={onClose}>
      <Choice<Purpose | 'own'>
        label="What it is for"
        value={purpose}
        options={[...PURPOSES, 'own' as const].map(it => ({ value: it, label: NAMES[it] }))}
        onChange={setPurpose}
      />
      {area !== null && (
        <div className="mt-2 flex flex-wrap items-baseline gap-x-6">
          <Choice<LaidInArea>
            label="Where it goes"
            value={how}
            options={[
              { value: 'instead', label: `Replace the ${area}` },
              { value: 'below', label: `Below what the ${area} holds` },
            ]}
            onChange={setHow}
          />
          <span className="text-muted">It shows on every page that has a {area}.</span>
        </div>
      )}
      <div className="mt-3 grid h-[66vh] grid-cols-[190px_1fr] gap-4">
        <ul aria-label="Ready sections" className="thin-scroll overflow-auto">
          {purpose === 'own' && drawn.sections.size === 0 && !kept.data?.some(it => it.clip === null) && (
            <li className="border-b border-hair py-1.5 text-muted">
              {kept.isPending
                ? 'Loading…'
                : kept.error
                  ? problemText(kept.error)
                  : 'None yet. Select a section and choose “Save as your own”.'}
            </li>
          )}
          {purpose === 'own' &&
            kept.data
              ?.filter(it => it.clip === null)
              .map(({ id, name }) => (
                <li key={id} className="flex border-b border-hair text-muted">
                  <span className="min-w-0 flex-1 py-1.5">
                    {name}: this version of the program cannot read it. It is kept.
                  </span>
                  <Button kind="link" aria-label={`Forget ${name}`} onClick={() => forget.mutate(id)}>
                    Forget
                  </Button>
                </li>
              ))}
          {[...drawn.sections].map(([id, starter]) => (
            <li key={starter.id} className="flex border-b border-hair">
              <button
                type="button"
                className="block min-w-0 flex-1 truncate py-1.5 text-left hover:text-teal"
                onFocus={() => bring(id)}
                onPointerEnter={() => bring(id)}
                onClick={() => take(starter)}
              >
                {starter.label}
              </button>
              {starter.own && (
                <Button
                  kind="link"
                  aria-label={`Forget ${starter.label}`}
                  onClick={() => forget.mutate(starter.id)}
                >
                  Forget
                </Button>
              )}
            </li>
          ))}
          <li>
            <button
              type="button"
              className="block w-full py-1.5 text-left text-muted hover:text-teal"
              onClick={onEmpty}
            >
              Empty section
            </button>
          </li>
        </ul>
        <StaticPage
          key={`${purpose} ${drawn.sections.size}`}
          title={`Sections: ${NAMES[purpose]}`}
          site={drawn.site}
          page={drawn.page}
          width={1280}
          extra={drawnAlone(area)}
          onShown={document => {
            shown.current = document;
            document.addEventListener('click', event => {
              event.preventDefault();
              const { target } = event;
              const view = document.defaultView;
              if (!view || !(target instanceof view.Element)) return;
              const section = target.closest('[data-area] > [data-node]')?.getAttribute('data-node');
              const starter = drawn.sections.get(section ?? '');
              if (starter) take(starter);
            });
          }}
        />
      </div>
    </Sheet>
  );
}
