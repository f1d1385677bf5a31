import { type ContentFieldOf, isColumns } from '@cove/core';
import type { ContentControl } from './contentControl.ts';
import { TableWords } from './TableWords.tsx';

/** The columns of a table, by their headings. */
export function ColumnsControl({ widget, field, value }: ContentControl<ContentFieldOf<'columns'>>) {
  return (
    <TableWords
      node={widget.id}
      table={widget.id}
      label={field.label}
      words={(isColumns(value) ? value.columns : []).map(({ heading, kind }) => ({
        about: kind === 'figures' ? 'Figures' : 'Words',
        words: heading,
      }))}
    />
  );
}
