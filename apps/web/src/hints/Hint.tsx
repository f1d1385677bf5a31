import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useStore } from 'zustand';
import { dismiss, dismissed } from './dismissed.ts';

/** A word of help where something is first met; once it is dismissed, it is not shown again in this browser. */
export function Hint({ name, children }: { name: string; children: ReactNode }) {
  const isGone = useStore(dismissed, ({ names }) => names.has(name));
  if (isGone) return null;
  return (
    <p className="flex items-start gap-1 text-small text-muted">
      <span className="mr-auto">{children}</span>
      <button
        type="button"
        aria-label="Dismiss this hint"
        className="shrink-0 rounded p-0.5 hover:bg-ground"
        onClick={() => dismiss(name)}
      >
        <X size={12} aria-hidden />
      </button>
    </p>
  );
}
