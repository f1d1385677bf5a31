import { addPage, applyChange, type Edit, type Id, must, pasteThings, type Site } from '@cove/core';
import { laySection, PURPOSES, type Purpose, SECTION_STARTERS } from '@cove/core/starters';
import { useMemo, useRef, useState } from 'react';
import { problemText } from '../api/problemText.ts';
import { StaticPage } from '../canvas/StaticPage.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { type KeptSection, useForgetSection, useKeptSections } from './useKeptSections.ts';

const NAMES: Record<Purpose | 'own', string> = {
  opening: 'Opening',
  content: 'Content',
  features: 'Features',
  proof: 'Proof',
  action: 'Call to action',
  contact: 'Contact',
  own: 'Your own',
};

/** A section that can be laid on a page: a ready one, or one's own. */
interface Offered {
  id: string;
  label: string;
  lay(now: Site, page: Id, index: number): { edits: Edit[]; id: Id } | null;
}

const ready = (purpose: Purpose): Offered[] =>
  SECTION_STARTERS.filter(it => it.purpose === purpose).map(starter => ({
    id: starter.id,
    label: starter.label,
    lay: (now, page, index) => laySection(now, page, index, starter),
  }));
const own = (kept: readonly KeptSection[]): Offered[] =>
  kept.map(({ id, name, clip }) => ({
    id,
    label: name,
    lay: (now, page, index) => {
      const pasted = pasteThings(now, clip, page, index);
      const [first] = pasted.ok ? pasted.value.ids : [];
      return pasted.ok && first !== undefined ? { edits: pasted.value.edits, id: first } : null;
    },
  }));

/** A page that is nobody's, with all that is offered on it, in the looks of the site's own guide. */
function pictured(
  site: Site,
  title: string,
  offered: readonly Offered[],
): { site: Site; page: Id; sections: ReadonlyMap<Id, Offered> } {
  const made = addPage(site, title);
  let now = must(applyChange(site, { edits: made.edits })).site;
  const sections = new Map<Id, Offered>();
  for (const offer of offered) {
    const laid = offer.lay(now, made.id, sections.size);
    const applied = laid && applyChange(now, { edits: laid.edits });
    if (!laid || !applied?.ok) continue;
    now = applied.value.site;
    sections.set(laid.id, offer);
  }
  return { site: now, page: made.id, sections };
}

/** Two abreast, each as wide as a window of the page and drawn at half its size. */
const ABREAST =
  '[data-area=header],[data-area=footer]{display:none}main{zoom:.5;display:grid;grid-template-columns:1fr 1fr;gap:44px;align-items:start;padding:8px}main>*{cursor:pointer;outline:2px solid #0003;content-visibility:visible!important}main>:hover{outline:6px solid oklch(.43 .075 205)}';

/** Ready sections sorted by what they are for, drawn live in this site's guide; choosing one puts it where it was asked for. */
export function SectionLibrary({
  site,
  onTake,
  onEmpty,
  onClose,
}: {
  site: Site;
  onTake(make: (now: Site) => (page: Id, index: number) => { edits: Edit[]; id: Id } | null): void;
  onEmpty(): void;
  onClose(): void;
}) {
  const [purpose, setPurpose] = useState<Purpose | 'own'>('opening');
  const kept = useKeptSections();
  const forget = useForgetSection();
  const drawn = useMemo(
    () => pictured(site, NAMES[purpose], purpose === 'own' ? own(kept.data ?? []) : ready(purpose)),
    [site, purpose, kept.data],
  );
  const shown = useRef<Document | null>(null);
  const take = (offer: Offered) => onTake(now => (page, index) => offer.lay(now, page, index));
  const bring = (id: Id) =>
    shown.current?.querySelector(`[data-node="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' });
  return (
    <Sheet wide title="Add a section" about="As it would look in this guide." onClose={onClose}>
      <Choice<Purpose | 'own'>
        label="What it is for"
        value={purpose}
        options={[...PURPOSES, 'own' as const].map(it => ({ value: it, label: NAMES[it] }))}
        onChange={setPurpose}
      />
      <div className="mt-3 grid h-[66vh] grid-cols-[190px_1fr] gap-4">
        <ul aria-label="Ready sections" className="thin-scroll overflow-auto">
          {purpose === 'own' && drawn.sections.size === 0 && (
            <li className="border-b border-hair py-1.5 text-muted">
              {kept.isPending
                ? 'Looking …'
                : kept.error
                  ? problemText(kept.error)
                  : 'None kept yet. Pick a section and choose Keep as your own.'}
            </li>
          )}
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
              {purpose === 'own' && (
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
          extra={ABREAST}
          onShown={document => {
            shown.current = document;
            document.addEventListener('click', event => {
              event.preventDefault();
              const { target } = event;
              const view = document.defaultView;
              if (!view || !(target instanceof view.Element)) return;
              const section = target.closest('main > [data-node]')?.getAttribute('data-node');
              const starter = drawn.sections.get(section ?? '');
              if (starter) take(starter);
            });
          }}
        />
      </div>
    </Sheet>
  );
}
