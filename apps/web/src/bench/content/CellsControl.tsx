import { type ContentFieldOf, columnsIn, isCells, plainOf } from '@cove/core';
import type { ContentControl } from './contentControl.ts';
import { TableWords } from './TableWords.tsx';

/** The cells of a row. */
export function CellsControl({ site, widget, field, value }: ContentControl<ContentFieldOf<'cells'>>) {
  const table = site.kinds.widget.get(widget.at.parent);
  const cells = isCells(value) ? value.cells : [];
  return (
    <TableWords
      node={widget.id}
      table={widget.at.parent}
      label={field.label}
      words={(table ? columnsIn(table) : []).map((it, i) => ({
        about: plainOf(it.heading),
        words: cells[i] ?? [],
      }))}
    />
  );
}
