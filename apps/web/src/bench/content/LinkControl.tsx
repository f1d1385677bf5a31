import { type ContentFieldOf, fail, ok, parseLink, printLink, readLink } from '@cove/core';
import { useRef } from 'react';
import { FileLink } from '../../links/FileLink.tsx';
import { fileChoices, linkChoices, optionOf, targetOf } from '../../links/linkChoices.ts';
import { Select } from '../../ui/Select.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import type { ContentControl } from './contentControl.ts';

/** Where something leads: a place of the site, a file, or an address. */
export function LinkControl({ site, field, value, onChange }: ContentControl<ContentFieldOf<'link'>>) {
  const link = readLink(value);
  const page = optionOf(link);
  const asked = useRef<{ ask(): void }>(null);
  return (
    <div className="grid gap-1">
      <Select
        label={field.label}
        value={page || (link ? 'away' : '')}
        options={[
          { value: '', label: field.files ? 'None' : 'Nowhere' },
          ...(field.files ? fileChoices(site) : linkChoices(site)),
          { value: 'file', label: 'A file…' },
          ...(field.files ? [] : [{ value: 'away', label: 'Somewhere else…' }]),
        ]}
        onChange={chosen => {
          if (chosen === 'file') asked.current?.ask();
          else
            onChange(
              chosen === ''
                ? null
                : chosen === 'away'
                  ? { type: 'url', href: 'https://domain.example/' }
                  : targetOf(chosen),
            );
        }}
      />
      <FileLink ref={asked} onFile={asset => onChange({ type: 'file', asset })} />
      {link && page === '' && (
        <TypedField
          label="Address"
          hideLabel
          text={printLink(link)}
          parse={text => {
            const target = parseLink(text);
            return target
              ? ok(target)
              : fail({
                  code: 'bad-link',
                  message: 'Enter an address that begins with https://, an email address or a phone number.',
                });
          }}
          onCommit={onChange}
        />
      )}
    </div>
  );
}
