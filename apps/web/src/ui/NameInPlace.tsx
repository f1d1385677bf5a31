import { useState } from 'react';
import { useLocked } from '../session/rights.tsx';

/** A name that becomes a field when it is clicked. */
export function NameInPlace({
  label,
  name,
  onRename,
}: {
  label: string;
  name: string;
  onRename(name: string): void;
}) {
  const locked = useLocked();
  const [typed, setTyped] = useState<string | null>(null);
  if (typed === null)
    return locked ? (
      <span>{name}</span>
    ) : (
      <button
        type="button"
        aria-label={`${label}: rename`}
        className="hover:text-ink hover:underline"
        onClick={() => setTyped(name)}
      >
        {name}
      </button>
    );
  const finish = (keep: boolean) => {
    setTyped(null);
    const wanted = typed.trim();
    if (keep && wanted !== '' && wanted !== name) onRename(wanted);
  };
  return (
    <input
      ref={element => element?.focus()}
      aria-label={label}
      value={typed}
      maxLength={80}
      onChange={event => setTyped(event.target.value)}
      onBlur={() => finish(true)}
      onKeyDown={event => {
        if (event.key === 'Enter') finish(true);
        if (event.key === 'Escape') {
          event.stopPropagation();
          finish(false);
        }
      }}
      className="h-5 w-32 rounded-sm border border-hair bg-paper px-1 font-normal text-ink"
    />
  );
}
