import { useState } from 'react';
import { useLocked } from './locked.ts';
import { TheirsNote } from './TheirsNote.tsx';
import { useTyping } from './useTyping.ts';

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
  const [isOpen, setOpen] = useState(false);
  const { typed, theirs, type, settle, keep } = useTyping(label, name);
  if (!isOpen)
    return locked ? (
      <span>{name}</span>
    ) : (
      <button
        type="button"
        aria-label={`${label}: rename`}
        className="hover:text-ink hover:underline"
        onClick={() => setOpen(true)}
      >
        {name}
      </button>
    );
  const finish = (wish: 'keep' | 'drop') => {
    setOpen(false);
    const wanted = (typed ?? name).trim();
    keep(() => {
      settle();
      if (wish === 'keep' && wanted !== '' && wanted !== name) onRename(wanted);
    });
  };
  return (
    <>
      <input
        ref={element => element?.focus()}
        aria-label={label}
        value={typed ?? name}
        maxLength={80}
        onChange={event => type(event.target.value)}
        onBlur={() => finish('keep')}
        onKeyDown={event => {
          if (event.key === 'Enter') finish('keep');
          if (event.key === 'Escape') {
            event.stopPropagation();
            finish('drop');
          }
        }}
        className="h-5 w-32 rounded-sm border border-hair bg-paper px-1 font-normal text-ink"
      />
      <TheirsNote theirs={theirs} onTake={settle} />
    </>
  );
}
