import type { ContentFieldOf } from '@cove/core';
import { Select } from '../../ui/Select.tsx';
import type { ContentControl } from './contentControl.ts';

/** One of a few ways. */
export function ChoiceControl({ field, value, onChange }: ContentControl<ContentFieldOf<'choice'>>) {
  return (
    <Select
      label={field.label}
      value={String(value ?? '')}
      options={field.options.map(option => ({ value: String(option), label: String(option) }))}
      onChange={text => onChange(field.options.find(option => String(option) === text) ?? null)}
    />
  );
}
