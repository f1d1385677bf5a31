import {
  addRows,
  type CellPlace,
  cellAt,
  columnsIn,
  type Edit,
  type Id,
  pasteGrid,
  rowsIn,
  type Site,
} from '@cove/core';
import { gridOfText } from '../tables/gridOfText.ts';
import type { WritingKeys, Written } from '../writing/writeOnPage.ts';
import { type Around, lengthOf } from './goingOn.ts';

type Way = 'next' | 'before' | 'below';

/** The cell beside one, or below it; rows are read from the headings down, and the last is followed by a new one. */
function cellBeside(
  site: Site,
  table: Id,
  { row, column }: CellPlace,
  way: Way,
): { place: CellPlace; edits: readonly Edit[] } | null {
  const record = site.kinds.widget.get(table);
  if (!record) return null;
  const width = columnsIn(record).length;
  const shown = record.content.head !== 'column' && record.content.head !== 'none';
  const body = rowsIn(site, table).map(it => it.id);
  const rows: (Id | null)[] = [...(shown ? [null] : []), ...body];
  const at = rows.indexOf(row) * width + column + { next: 1, before: -1, below: width }[way];
  if (at < 0) return null;
  if (at < rows.length * width)
    return { place: { row: rows[Math.floor(at / width)] ?? null, column: at % width }, edits: [] };
  const { edits, ids } = addRows(site, table, body.length, [[]]);
  return { place: { row: ids[0] ?? null, column: way === 'below' ? column : 0 }, edits };
}

/** What keys mean in a cell of a table: the next one, the one before, the one below. */
export function cellKeys(table: Id, place: CellPlace, around: Around): WritingKeys {
  const to = (way: Way) => (written: Written) => {
    written.end();
    const beside = cellBeside(around.site(), table, place, way);
    if (!beside || (beside.edits.length > 0 && !around.commit(beside.edits, 'Add a row'))) return true;
    const { row, column } = beside.place;
    const offset = lengthOf(cellAt(around.site(), table, beside.place));
    around.goOn({ node: row ?? table, column, offset });
    return true;
  };
  return { Tab: to('next'), 'Shift-Tab': to('before'), Enter: to('below') };
}

/** Pastes cells of a spreadsheet from a cell on; false for the words of a single one, which are pasted as in any text. */
export function pasteCells(
  table: Id,
  place: CellPlace,
  text: string,
  written: Written,
  around: Around,
): boolean {
  const read = gridOfText(text);
  if (!read.ok) {
    around.refuse(read.problem.message);
    return true;
  }
  const grid = read.value;
  if (grid.length < 2 && (grid[0]?.length ?? 0) < 2) return false;
  written.end();
  const rows = rowsIn(around.site(), table);
  const index = place.row === null ? -1 : rows.findIndex(it => it.id === place.row);
  // Somebody may have deleted the row meanwhile.
  if (place.row !== null && index < 0) return true;
  const pasted = pasteGrid(around.site(), table, { index, column: place.column }, grid);
  if (!pasted.ok) around.refuse(pasted.problem.message);
  else if (around.commit(pasted.value, 'Paste cells'))
    around.goOn({ node: place.row ?? table, column: place.column, offset: 0 });
  return true;
}
