import {
  applyChange,
  type Edit,
  type Id,
  nameOf,
  type PageImpact,
  type Site,
  viewportOf,
  WIDTHS,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { StaticPage } from '../canvas/StaticPage.tsx';
import { ScrollTogether } from '../canvas/scrollTogether.ts';
import { useSession } from '../session/context.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { titled } from '../ui/titled.ts';

/** A page as it is and as it would be, side by side, before anything is done. */
export function BeforeAfter({
  edits,
  pages,
  first,
  names = ['Before', 'After'],
  shownAs = it => it,
  onClose,
}: {
  edits: readonly Edit[];
  pages: readonly Pick<PageImpact, 'page' | 'nodes'>[];
  first: Id;
  /** What the two are called, where it is not a change in time. */
  names?: readonly [string, string];
  /** What it would be as it can be seen by now, such as with pictures that are not here yet. */
  shownAs?(site: Site): Site;
  onClose(): void;
}) {
  const session = useSession();
  const [page, setPage] = useState(first);
  const [width, setWidth] = useState<(typeof WIDTHS)[number]>('wide');
  const before = session.kept;
  const after = useMemo(() => {
    const applied = applyChange(before, { edits });
    return applied.ok ? applied.value.site : before;
  }, [before, edits]);
  const px = viewportOf(before)[width];
  // Those that stand on it now and then: the page itself is the last resort.
  const node = pages.find(it => it.page === page)?.nodes.find(id => id !== page);
  const together = useMemo(() => new ScrollTogether('[data-area] > [data-node]', 'data-node'), []);
  const sides = [
    { title: names[0], site: before },
    { title: names[1], site: useMemo(() => shownAs(after), [shownAs, after]) },
  ];
  const nameOfPage = (id: Id) => nameOf(before.kinds.page.has(id) ? before : after, id);
  return (
    <Sheet wide title={`${names[0]} and ${names[1].toLowerCase()}`} onClose={onClose}>
      <div className="mb-3 flex items-center gap-5">
        <Select
          hideLabel
          label="Page"
          value={page}
          options={pages.map(it => ({ value: it.page, label: nameOfPage(it.page) }))}
          onChange={setPage}
        />
        <Choice<(typeof WIDTHS)[number]>
          label="Width"
          value={width}
          options={WIDTHS.map(it => ({ value: it, label: titled(it) }))}
          onChange={setWidth}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        {sides.map(({ title, site }) => (
          <figure key={title} className="min-w-0">
            <figcaption className="label-line mb-1">{title}</figcaption>
            <div className="h-[62vh] border border-hair">
              {site.kinds.page.has(page) ? (
                <StaticPage
                  key={`${page} ${width}`}
                  title={`${title}: ${nameOfPage(page)}`}
                  site={site}
                  page={page}
                  width={px}
                  node={node}
                  onShown={document => together.join(document)}
                />
              ) : (
                <p className="p-6 text-muted">There is no such page.</p>
              )}
            </div>
          </figure>
        ))}
      </div>
    </Sheet>
  );
}
