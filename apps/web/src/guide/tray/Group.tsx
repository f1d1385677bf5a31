import type { Foundation } from '@cove/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { createContext, type ReactNode, use, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

/** Whether something is folded away, as it was left in this browser. */
function useFolded(key: string | null, first: boolean): [boolean, (folded: boolean) => void] {
  const [folded, setFolded] = useState(() => {
    const left = key === null ? null : localStorage.getItem(key);
    return left === null ? first : left === 'folded';
  });
  return [
    folded,
    next => {
      setFolded(next);
      if (key !== null) localStorage.setItem(key, next ? 'folded' : 'open');
    },
  ];
}

/** One foundation of the tray: a name that folds it, a figure, and what can be added. */
export function Group({
  label,
  note,
  children,
  action,
  onAdd,
  addLabel,
  fold,
  unfolded = false,
}: {
  label: ReactNode;
  note?: string;
  children: ReactNode;
  /** In the place of Add. */
  action?: ReactNode;
  onAdd?: () => void;
  addLabel?: string;
  /** Lets it be folded away under this name, and whether it is at first. */
  fold?: { name: string; first: boolean };
  /** Shown all the same, since something in it is open. */
  unfolded?: boolean;
}) {
  const [left, setFolded] = useFolded(fold ? `cove.tray.group.${fold.name}` : null, fold?.first ?? false);
  const folded = left && !unfolded;
  const Mark = folded ? ChevronRight : ChevronDown;
  return (
    <section className="mb-3.5">
      <h3 className="mb-1 flex items-center gap-2">
        <span className="label-line mr-auto flex min-w-0 items-center gap-1">
          {fold && (
            <button
              type="button"
              aria-expanded={!folded}
              aria-label={`Group ${fold.name}`}
              className="-ml-1 rounded-sm hover:text-teal"
              onClick={() => setFolded(!folded)}
            >
              <Mark size={12} aria-hidden />
            </button>
          )}
          <span className="min-w-0 truncate">{label}</span>
        </span>
        {note && <span className="font-mono text-[11px] text-muted">{note}</span>}
        {action}
        {onAdd && (
          <Button kind="link" className="h-5! text-small" onClick={onAdd} aria-label={addLabel}>
            Add
          </Button>
        )}
      </h3>
      {!folded && children}
    </section>
  );
}

/** Opens a foundation as it was when the site began, to be taken back to that. */
export const ResetFoundation = createContext<((foundation: Foundation) => void) | null>(null);

/** A chapter of the tray, in the order in which a guide is set up; it can be folded away, and reset to how the site began. */
export function Chapter({
  title,
  note,
  foundation,
  children,
}: {
  title: string;
  note?: string;
  /** What of the guide it holds; a chapter without one cannot be reset alone. */
  foundation?: Foundation;
  children: ReactNode;
}) {
  const [folded, setFolded] = useFolded(`cove.tray.${title}`, false);
  const reset = use(ResetFoundation);
  const locked = useLocked();
  const open = !folded;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <section className="group/chapter border-b border-hair px-3.5 pt-2.5 pb-1" aria-label={title}>
      <h2 className="mb-1.5 flex items-baseline gap-2">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setFolded(open)}
          className="mr-auto flex items-center gap-1 text-left text-base font-semibold"
        >
          <Mark size={13} aria-hidden className="-ml-1 text-muted" />
          {title}
        </button>
        {foundation && reset && open && !locked && (
          <Button
            kind="link"
            className="h-5! text-small font-normal opacity-0 group-hover/chapter:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100"
            aria-label={`Reset ${foundation.toLowerCase()}`}
            title={`Reset ${foundation.toLowerCase()} to how the site began`}
            onClick={() => reset(foundation)}
          >
            Reset…
          </Button>
        )}
        {note && <span className="font-mono text-[11px] font-normal text-muted">{note}</span>}
      </h2>
      {open && children}
    </section>
  );
}
