import { type Id, nameOf } from '@cove/core';
import { useState } from 'react';
import { useGo } from '../navigation/go.ts';
import { useCalmSite } from '../session/useCalmSite.ts';
import type { ReachCount } from './messages.ts';
import { useReach, useUses } from './useReach.ts';

const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

export const reachWords = ({ uses, pages }: ReachCount): string =>
  uses === 0 ? 'used nowhere' : `${counted(uses, 'use')} on ${counted(pages, 'page')}`;

/** How far something reaches, before it is edited; opens as a list that leads to each use. */
export function ReachNote({ id }: { id: Id }) {
  const site = useCalmSite();
  const go = useGo();
  const reach = useReach(id);
  const [open, setOpen] = useState(false);
  const uses = useUses(id, open);
  if (!reach) return <p className="text-muted">Counting uses…</p>;
  if (reach.uses === 0) return <p className="text-muted">Used nowhere.</p>;
  return (
    <details open={open} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer text-muted">
        {counted(reach.uses, 'use')} on {counted(reach.pages, 'page')}
      </summary>
      <ul className="thin-scroll mt-1 max-h-40 overflow-auto">
        {uses?.slice(0, MOST).map(({ node, page }) => (
          <li key={`${page} ${node}`} className="flex justify-between gap-2">
            <button
              type="button"
              className="truncate text-left hover:text-teal hover:underline"
              onClick={() => go(node ?? page)}
            >
              {nameOf(site, node ?? page)}
            </button>
            <span className="shrink-0 text-muted">{nameOf(site, page)}</span>
          </li>
        ))}
        {uses && uses.length > MOST && <li className="text-muted">and {uses.length - MOST} more</li>}
      </ul>
    </details>
  );
}
/** Uses listed one by one; a longer list is told by its number. */
const MOST = 200;
