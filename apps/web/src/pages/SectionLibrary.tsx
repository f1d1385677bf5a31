import { addPage, applyChange, type Edit, type Id, must, type Site } from '@cove/core';
import {
  laySection,
  PURPOSES,
  type Purpose,
  SECTION_STARTERS,
  type SectionStarter,
} from '@cove/core/starters';
import { useMemo, useRef, useState } from 'react';
import { StaticPage } from '../canvas/StaticPage.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Sheet } from '../ui/Sheet.tsx';

const NAMES: Record<Purpose, string> = {
  opening: 'Opening',
  content: 'Content',
  features: 'Features',
  proof: 'Proof',
  action: 'Call to action',
  contact: 'Contact',
};

/** A page that is nobody's, with all ready sections of a purpose on it, in the looks of the site's own guide. */
function pictured(
  site: Site,
  purpose: Purpose,
): { site: Site; page: Id; sections: ReadonlyMap<Id, SectionStarter> } {
  const made = addPage(site, NAMES[purpose]);
  let now = must(applyChange(site, { edits: made.edits })).site;
  const sections = new Map<Id, SectionStarter>();
  for (const [i, starter] of SECTION_STARTERS.filter(it => it.purpose === purpose).entries()) {
    const laid = laySection(now, made.id, i, starter);
    now = must(applyChange(now, { edits: laid.edits })).site;
    sections.set(laid.id, starter);
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
  onTake(make: (now: Site) => (page: Id, index: number) => { edits: Edit[]; id: Id }): void;
  onEmpty(): void;
  onClose(): void;
}) {
  const [purpose, setPurpose] = useState<Purpose>('opening');
  const drawn = useMemo(() => pictured(site, purpose), [site, purpose]);
  const shown = useRef<Document | null>(null);
  const take = (starter: SectionStarter) =>
    onTake(now => (page, index) => laySection(now, page, index, starter));
  const bring = (id: Id) =>
    shown.current?.querySelector(`[data-node="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' });
  return (
    <Sheet wide title="Add a section" about="As it would look in this guide." onClose={onClose}>
      <Choice<Purpose>
        label="What it is for"
        value={purpose}
        options={PURPOSES.map(it => ({ value: it, label: NAMES[it] }))}
        onChange={setPurpose}
      />
      <div className="mt-3 grid h-[66vh] grid-cols-[190px_1fr] gap-4">
        <ul aria-label="Ready sections" className="thin-scroll overflow-auto">
          {[...drawn.sections].map(([id, starter]) => (
            <li key={starter.id} className="border-b border-hair">
              <button
                type="button"
                className="block w-full py-1.5 text-left hover:text-teal"
                onFocus={() => bring(id)}
                onPointerEnter={() => bring(id)}
                onClick={() => take(starter)}
              >
                {starter.label}
              </button>
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
          key={purpose}
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
