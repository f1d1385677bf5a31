import {
  type CellPlace,
  cellAt,
  cellsIn,
  clearCells,
  columnsIn,
  type Edit,
  type Grid,
  gridOf,
  type Id,
  pasteGrid,
  type Result,
  type RichText,
  rowsIn,
  type Site,
  setCell,
  type WidgetRecord,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useCommit, useSession } from '../session/context.tsx';

/** A cell by its numbers; row 0 is that of the headings. */
export interface At {
  row: number;
  column: number;
}

const within = (it: number, size: number): number => Math.max(0, Math.min(size - 1, it));

/** A table as a grid of cells: which one is current, how far the selection reaches from it, and what is done to them. */
export function useGrid(site: Site, table: WidgetRecord) {
  const commit = useCommit();
  const session = useSession();
  const rows = useMemo(() => rowsIn(site, table.id), [site, table.id]);
  const columns = columnsIn(table);
  const size = { rows: rows.length + 1, columns: Math.max(1, columns.length) };
  const [current, setCurrent] = useState<At>({ row: 0, column: 0 });
  const [far, setFar] = useState<At>(current);
  const at = { row: within(current.row, size.rows), column: within(current.column, size.columns) };
  const to = { row: within(far.row, size.rows), column: within(far.column, size.columns) };
  const block = {
    top: Math.min(at.row, to.row),
    bottom: Math.max(at.row, to.row),
    left: Math.min(at.column, to.column),
    right: Math.max(at.column, to.column),
  };
  const rowId = (row: number): Id | null => rows[row - 1]?.id ?? null;
  const placeOf = ({ row, column }: At): CellPlace => ({ row: rowId(row), column });

  const run = (result: Result<Edit[]>, label: string): boolean => {
    if (result.ok) return result.value.length === 0 || commit(result.value, label);
    toast.error(result.problem.message);
    return false;
  };
  const select = (it: At, extend = false) => {
    const next = { row: within(it.row, size.rows), column: within(it.column, size.columns) };
    if (!extend) setCurrent(next);
    setFar(next);
  };
  return {
    rows,
    columns,
    size,
    at,
    block,
    rowId,
    run,
    select,
    /** Without holding to what is there: for a cell that is about to be made. */
    selectNew(it: At) {
      setCurrent(it);
      setFar(it);
    },
    cells: (row: WidgetRecord): readonly RichText[] => cellsIn(row),
    words: (it: At): RichText => cellAt(site, table.id, placeOf(it)),
    write(it: At, words: RichText) {
      const now = session.site;
      const place = placeOf(it);
      if (JSON.stringify(cellAt(now, table.id, place)) === JSON.stringify(words)) return;
      commit(setCell(now, table.id, place, words), it.row === 0 ? 'Edit a heading' : 'Edit a cell');
    },
    /** What is selected, as cells. */
    selected: (): Grid =>
      gridOf(site, table.id)
        .slice(block.top, block.bottom + 1)
        .map(row => row.slice(block.left, block.right + 1)),
    clear() {
      const ids = Array.from({ length: block.bottom - block.top + 1 }, (_, i) => rowId(block.top + i));
      const across = Array.from({ length: block.right - block.left + 1 }, (_, i) => block.left + i);
      commit(clearCells(session.site, table.id, ids, across), 'Empty cells');
    },
    paste(grid: Grid) {
      const place = { index: block.top - 1, column: block.left };
      if (!run(pasteGrid(session.site, table.id, place, grid), 'Paste cells')) return;
      const width = grid.reduce((most, row) => Math.max(most, row.length), 1);
      setCurrent({ row: block.top, column: block.left });
      setFar({ row: block.top + grid.length - 1, column: block.left + width - 1 });
    },
  };
}
export type GridOfTable = ReturnType<typeof useGrid>;
