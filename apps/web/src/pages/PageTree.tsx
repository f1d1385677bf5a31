import {
  childrenOf,
  type Edit,
  type Id,
  movePage,
  nudgePage,
  pagesInOrder,
  type Site,
  settingsOf,
} from '@cove/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { type Drop, Tree, type TreeRow } from '../ui/Tree.tsx';

interface PageRow extends TreeRow {
  title: string;
  /** What is unusual about it. */
  note: string;
}

function pageRows(site: Site): PageRow[] {
  const depths = new Map<Id, number>();
  const { home } = settingsOf(site);
  return pagesInOrder(site).map(({ id, title, at, off, unlisted }) => {
    const above = depths.get(at.parent);
    const depth = above === undefined ? 0 : above + 1;
    depths.set(id, depth);
    return {
      id,
      depth,
      title,
      note: id === home ? 'home' : off ? 'off' : unlisted ? 'not in navigation' : '',
    };
  });
}

/** Edits that bring a page before, below or after another; null where it cannot stand there. */
function dropEdits(site: Site, id: Id, { over, where }: Drop): Edit[] | null {
  const target = site.kinds.page.get(over);
  if (!target || id === over) return null;
  const parent = where === 'inside' ? over : target.at.parent;
  const siblings = childrenOf(site, parent).filter(it => it !== id && site.kinds.page.has(it));
  const index = where === 'inside' ? siblings.length : siblings.indexOf(over) + (where === 'after' ? 1 : 0);
  const moved = movePage(site, id, parent, index);
  return moved.ok ? moved.value : null;
}

const DIRECTIONS: Readonly<Record<string, 'up' | 'down' | 'in' | 'out'>> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowRight: 'in',
  ArrowLeft: 'out',
};

const drawRow = ({ title, note }: PageRow) => (
  <>
    <span className="truncate">{title}</span>
    {note !== '' && (
      <>
        <span className="sr-only">, </span>
        <span className="ml-auto shrink-0 text-small font-normal text-muted">{note}</span>
      </>
    )}
  </>
);

/** The pages of the site, one below another: opened, moved by drag and by keys, added. */
export function PageTree({
  site,
  page,
  onAdd,
  onSettings,
}: {
  site: Site;
  page: Id;
  /** Asks for a new page. */
  onAdd(): void;
  onSettings(): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const navigate = useNavigate();
  const may = useMay('choice');
  const rows = useMemo(() => pageRows(site), [site]);
  const open = (id: Id) => void navigate(`/sites/${session.id}/pages/${id}`);
  return (
    <section aria-label="Pages" className="border-b border-hair py-3">
      <h2 className="flex items-baseline gap-3 px-3.5 pb-1">
        <span className="label-line mr-auto">Pages</span>
        {may && (
          <Button kind="link" className="h-5! text-small" onClick={onAdd}>
            New page
          </Button>
        )}
        <Button kind="link" className="h-5! text-small" onClick={onSettings}>
          Page settings…
        </Button>
      </h2>
      <div className="thin-scroll max-h-56 overflow-auto">
        <Tree
          label="Pages"
          rows={rows}
          picked={[page]}
          onPick={open}
          onKey={(id, event) => {
            const direction = event.altKey ? DIRECTIONS[event.key] : undefined;
            if (!direction || !may) return;
            event.preventDefault();
            const moved = nudgePage(session.site, id, direction);
            if (moved.ok) commit(moved.value, 'Move a page');
            else toast.error(moved.problem.message);
          }}
          canDrop={(id, drop) => dropEdits(site, id, drop) !== null}
          onDrop={may ? (id, drop) => commit(dropEdits(session.site, id, drop) ?? [], 'Move a page') : null}
        >
          {drawRow}
        </Tree>
      </div>
    </section>
  );
}
