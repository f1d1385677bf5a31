import { useId } from 'react';
import { useLocked } from './locked.ts';
import { TheirsNote } from './TheirsNote.tsx';
import { useTyping } from './useTyping.ts';

/** A few words on what something is for; empty words take the note away. */
export function NoteField({
  label = 'Note',
  text,
  placeholder = 'What it is for',
  onCommit,
}: {
  label?: string;
  text: string;
  placeholder?: string;
  onCommit(text: string): void;
}) {
  const id = useId();
  const locked = useLocked();
  const { typed, theirs, type, settle, keep } = useTyping(label, text);
  const shown = typed ?? text;
  if (locked && text === '') return null;
  return (
    <div>
      <label htmlFor={id} className="label-line mb-0.5 block">
        {label}
      </label>
      <textarea
        id={id}
        rows={Math.min(8, Math.max(shown.split('\n').length, shown.length > 60 ? 3 : 1))}
        maxLength={2000}
        value={shown}
        data-settled={typed === null || undefined}
        readOnly={locked}
        placeholder={placeholder}
        onChange={event => type(event.target.value)}
        onBlur={() => {
          if (typed === null) return;
          keep(() => {
            settle();
            onCommit(typed.trim());
          });
        }}
        className="thin-scroll block w-full resize-y rounded-sm border border-hair bg-paper px-1.5 py-0.5"
      />
      <TheirsNote theirs={theirs} onTake={settle} />
    </div>
  );
}
