import { useEffect, useId, useState } from 'react';
import { useLocked } from '../session/rights.tsx';

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
  const [typed, setTyped] = useState(text);
  useEffect(() => setTyped(text), [text]);
  if (locked && text === '') return null;
  return (
    <div>
      <label htmlFor={id} className="label-line mb-0.5 block">
        {label}
      </label>
      <textarea
        id={id}
        rows={Math.min(8, Math.max(typed.split('\n').length, typed.length > 60 ? 3 : 1))}
        maxLength={2000}
        value={typed}
        readOnly={locked}
        placeholder={placeholder}
        onChange={event => setTyped(event.target.value)}
        onBlur={() => typed !== text && onCommit(typed.trim())}
        className="thin-scroll block w-full resize-y rounded-sm border border-hair bg-paper px-1.5 py-0.5"
      />
    </div>
  );
}
