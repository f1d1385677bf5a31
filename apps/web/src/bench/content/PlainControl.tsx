import { type ContentFieldOf, ok } from '@cove/core';
import { NoteField } from '../../ui/NoteField.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { ContentControl } from './contentControl.ts';

/** Words, on one line or several. */
export function PlainControl({ field, value, onChange }: ContentControl<ContentFieldOf<'plain'>>) {
  const text = typeof value === 'string' ? value : '';
  return field.long ? (
    <NoteField label={field.label} text={text} placeholder="" onCommit={onChange} />
  ) : (
    <TypedField
      label={field.label}
      text={text}
      mono={false}
      parse={it => ok(it)}
      onCommit={onChange}
      className="[&_input]:border-hair"
    />
  );
}
