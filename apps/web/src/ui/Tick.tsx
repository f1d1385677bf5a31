import type { ReactNode } from 'react';

/** A box that is ticked, with the words that say what for. */
export function Tick({
  checked,
  onChange,
  disabled = false,
  describedBy,
  align = 'items-center',
  children,
}: {
  checked: boolean;
  onChange(checked: boolean): void;
  disabled?: boolean;
  /** Id of what says more about it. */
  describedBy?: string;
  align?: 'items-center' | 'items-baseline';
  children: ReactNode;
}) {
  return (
    <label className={`flex gap-2 ${align}`}>
      <input
        type="checkbox"
        className="accent-teal"
        aria-describedby={describedBy}
        checked={checked}
        disabled={disabled}
        onChange={event => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
