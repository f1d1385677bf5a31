import { addPage, applyChange, type Edit, type Id, must, type Site } from '@cove/core';
import { createPage, PAGE_STARTERS, type PageStarter } from '@cove/core/starters';
import { useMemo, useState } from 'react';
import { StaticPage } from '../canvas/StaticPage.tsx';
import { Sheet } from '../ui/Sheet.tsx';

/** Ready pages, each seen whole in this site's guide before it is taken; or an empty one. */
export function PageLibrary({
  site,
  onTake,
  onClose,
}: {
  site: Site;
  onTake(make: (now: Site) => { edits: Edit[]; id: Id }): void;
  onClose(): void;
}) {
  const [first] = PAGE_STARTERS;
  const [seen, setSeen] = useState<PageStarter | undefined>(first);
  const drawn = useMemo(() => {
    if (!seen) return null;
    const { edits, id } = createPage(site, seen);
    return { site: must(applyChange(site, { edits })).site, page: id };
  }, [site, seen]);
  return (
    <Sheet wide title="New page" about="Shown in this site’s guide." onClose={onClose}>
      <div className="grid h-[70vh] grid-cols-[190px_1fr] gap-4">
        <ul aria-label="Ready pages" className="thin-scroll overflow-auto">
          {PAGE_STARTERS.map(starter => (
            <li key={starter.id} className="border-b border-hair">
              <button
                type="button"
                className={`block w-full py-1.5 text-left hover:text-teal ${starter === seen ? 'font-semibold text-teal' : ''}`}
                onFocus={() => setSeen(starter)}
                onPointerEnter={() => setSeen(starter)}
                onClick={() => onTake(now => createPage(now, starter))}
              >
                {starter.label}
              </button>
            </li>
          ))}
          <li>
            <button
              type="button"
              className="block w-full py-1.5 text-left text-muted hover:text-teal"
              onClick={() => onTake(now => addPage(now, 'New page'))}
            >
              Empty page
            </button>
          </li>
        </ul>
        {drawn && seen && (
          <StaticPage
            key={seen.id}
            title={`Page: ${seen.label}`}
            site={drawn.site}
            page={drawn.page}
            width={1280}
          />
        )}
      </div>
    </Sheet>
  );
}
