import { fail, ok } from '@cove/core';
import { TypedField } from './TypedField.tsx';

/** A name that cannot be empty. */
export function NameField({
  label,
  name,
  onRename,
}: {
  label: string;
  name: string;
  onRename(name: string): void;
}) {
  return (
    <TypedField
      label={label}
      mono={false}
      text={name}
      className="[&_input]:border-hair [&_input]:font-semibold"
      parse={text =>
        text.trim() === ''
          ? fail({ code: 'empty', message: `Write a name for the ${label.toLowerCase()}.` })
          : ok(text.trim().slice(0, 80))
      }
      onCommit={onRename}
    />
  );
}
