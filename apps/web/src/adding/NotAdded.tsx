import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { Button } from '../ui/Button.tsx';

interface Props {
  /** Where it is drawn; nowhere as long as that is not there. */
  into: HTMLElement | null;
  label: string;
  /** As it would look, and what can be chosen for it. */
  children: ReactNode;
  facts: readonly (readonly [name: string, words: string])[];
  /** What the button does. */
  action: string;
  /** Null where it cannot be added. */
  onAdd: (() => void) | null;
  onClose(): void;
  keys: readonly (readonly [keys: string, does: string])[];
  /** Stands beside the buttons. */
  more?: ReactNode;
}

/** What is highlighted in a library, before it is on the page: as it would look, where it goes, what it asks for. */
export function NotAdded({ into, label, children, facts, action, onAdd, onClose, keys, more }: Props) {
  return (
    into &&
    createPortal(
      <>
        <h2 className="px-4 py-3">
          <span className="font-semibold">{label}</span> <span className="text-muted">not added yet</span>
        </h2>
        {children}
        <dl className="mt-3 grid grid-cols-[84px_minmax(0,1fr)] gap-y-1 border-t border-hair px-4 py-3">
          {facts.map(([name, words]) => (
            <div key={name} className="contents">
              <dt className="text-muted">{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
        <div className="flex items-center gap-2 px-4">
          <Button kind="main" disabled={onAdd === null} onClick={() => onAdd?.()}>
            {action}
          </Button>
          <Button kind="line" onClick={onClose}>
            Cancel
          </Button>
          {more}
        </div>
        <dl className="mt-auto grid grid-cols-[84px_minmax(0,1fr)] gap-y-1.5 border-t border-hair px-4 py-3">
          {keys.map(([some, does]) => (
            <div key={some} className="contents">
              <dt>
                <kbd className="rounded-sm border border-hair px-1 font-mono text-[11px]">{some}</kbd>
              </dt>
              <dd className="text-muted">{does}</dd>
            </div>
          ))}
        </dl>
      </>,
      into,
    )
  );
}

/** Stands in place of it where nothing is found. */
export const NothingToAdd = ({ into }: { into: HTMLElement | null }) =>
  into &&
  createPortal(
    <p className="p-4 text-muted">Type another word, or press Escape to go back to the page.</p>,
    into,
  );
