import { ChevronDown, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';

/** One foundation of the tray: a name that folds it, a figure, and what can be added. */
export function Group({
  label,
  note,
  children,
  action,
  onAdd,
  addLabel,
}: {
  label: ReactNode;
  note?: string;
  children: ReactNode;
  /** In the place of Add. */
  action?: ReactNode;
  onAdd?: () => void;
  addLabel?: string;
}) {
  return (
    <section className="mb-3.5">
      <h3 className="mb-1 flex items-baseline gap-2">
        <span className="label-line mr-auto min-w-0 truncate">{label}</span>
        {note && <span className="font-mono text-[11px] text-muted">{note}</span>}
        {action}
        {onAdd && (
          <Button kind="link" className="h-5! text-small" onClick={onAdd} aria-label={addLabel}>
            Add
          </Button>
        )}
      </h3>
      {children}
    </section>
  );
}

/** A chapter of the tray, in the order in which a guide is set up; it can be folded away. */
export function Chapter({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  const key = `cove.tray.${title}`;
  const [open, setOpen] = useState(() => localStorage.getItem(key) !== 'folded');
  const toggle = () => {
    setOpen(!open);
    localStorage.setItem(key, open ? 'folded' : 'open');
  };
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <section className="border-b border-hair px-3.5 pt-2.5 pb-1" aria-label={title}>
      <h2>
        <button
          type="button"
          aria-expanded={open}
          onClick={toggle}
          className="mb-1.5 flex w-full items-center gap-1 text-left text-base font-semibold"
        >
          <Mark size={13} aria-hidden className="-ml-1 text-muted" />
          {title}
          {note && <span className="ml-auto font-mono text-[11px] font-normal text-muted">{note}</span>}
        </button>
      </h2>
      {open && children}
    </section>
  );
}
