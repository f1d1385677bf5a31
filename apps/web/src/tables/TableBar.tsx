import {
  addColumn,
  addRows,
  gridOf,
  LIMITS,
  moveColumn,
  moveNode,
  ok,
  removeColumns,
  removeNodes,
  replaceGrid,
  setColumnKind,
  type TableColumn,
  type WidgetRecord,
} from '@cove/core';
import { useRef } from 'react';
import { toast } from 'sonner';
import { useCommit, useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { download } from '../ui/download.ts';
import { fileOfGrid, gridOfFile } from './gridOfText.ts';
import type { GridOfTable } from './useGrid.ts';

/** What can be done with the rows and columns of a table, and with the whole of it. */
export function TableBar({ table, grid }: { table: WidgetRecord; grid: GridOfTable }) {
  const commit = useCommit();
  const session = useSession();
  const file = useRef<HTMLInputElement>(null);
  const { at, block, columns, rows, run, select } = grid;
  const column = columns[at.column];
  const row = at.row === 0 ? null : at.row - 1;
  const wide = block.right - block.left + 1;
  const tall = block.bottom - Math.max(1, block.top) + 1;

  const addRow = () => {
    const index = row === null ? 0 : block.bottom;
    if (commit(addRows(session.site, table.id, index, [[]]).edits, 'Add a row'))
      grid.selectNew({ row: index + 1, column: at.column });
  };
  const moveRow = (by: -1 | 1) => {
    const id = row === null ? undefined : rows[row]?.id;
    if (id === undefined || row === null) return;
    if (run(moveNode(session.site, id, table.id, row + by), 'Move a row'))
      select({ ...at, row: at.row + by });
  };
  const removeRows = () => {
    const ids = rows.slice(Math.max(1, block.top) - 1, block.bottom).map(it => it.id);
    if (
      commit(removeNodes(session.site, ids), ids.length === 1 ? 'Delete a row' : `Delete ${ids.length} rows`)
    )
      select({ row: Math.max(0, block.top - 1), column: at.column });
  };
  const addColumnBehind = () => {
    const index = columns.length === 0 ? 0 : block.right + 1;
    if (run(addColumn(session.site, table.id, index), 'Add a column'))
      grid.selectNew({ row: at.row, column: index });
  };
  const shiftColumn = (by: -1 | 1) => {
    const edits = moveColumn(session.site, table.id, at.column, at.column + by);
    if (edits.length > 0 && run(ok(edits), 'Move a column')) select({ ...at, column: at.column + by });
  };
  const take = async (chosen: File) => {
    // A character takes four bytes at most; what is longer is not read at all.
    if (chosen.size > LIMITS.typed.cells * 4) {
      toast.error('This file is too large. Choose one with fewer rows.');
      return;
    }
    const read = gridOfFile(await chosen.text());
    if (!read.ok) toast.error(read.problem.message);
    else if (read.value.length === 0) toast.error('This file has no rows.');
    else if (run(replaceGrid(session.site, table.id, read.value), `Take ${chosen.name}`))
      toast(`${(read.value.length - 1).toLocaleString('en')} rows of ${chosen.name} stand in the table now.`);
  };
  const save = () => download('table.csv', fileOfGrid(gridOf(session.site, table.id)), 'text/csv');
  const small = 'h-6! px-1.5!';
  return (
    <div
      role="toolbar"
      aria-label="Table"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1.5"
    >
      <span className="flex items-center">
        <span className="label-line pr-1">Row</span>
        <Button className={small} onClick={addRow}>
          Add a row
        </Button>
        <Button className={small} disabled={row === null || row === 0} onClick={() => moveRow(-1)}>
          Up
        </Button>
        <Button
          className={small}
          disabled={row === null || row === rows.length - 1}
          onClick={() => moveRow(1)}
        >
          Down
        </Button>
        <Button className={small} disabled={tall < 1 || row === null} onClick={removeRows}>
          {tall > 1 ? `Delete ${tall} rows` : 'Delete row'}
        </Button>
      </span>
      <span className="flex items-center">
        <span className="label-line pr-1">Column</span>
        <Button className={small} onClick={addColumnBehind}>
          Add a column
        </Button>
        <Button className={small} disabled={at.column === 0} onClick={() => shiftColumn(-1)}>
          Earlier
        </Button>
        <Button className={small} disabled={at.column >= columns.length - 1} onClick={() => shiftColumn(1)}>
          Later
        </Button>
        <Button
          className={small}
          disabled={!column}
          onClick={() =>
            run(
              ok(removeColumns(session.site, table.id, block.left, wide)),
              wide === 1 ? 'Delete a column' : `Delete ${wide} columns`,
            )
          }
        >
          {wide > 1 ? `Delete ${wide} columns` : 'Delete column'}
        </Button>
        {column && (
          <Choice<TableColumn['kind']>
            label="What the column holds"
            value={column.kind}
            options={[
              { value: 'words', label: 'Words' },
              { value: 'figures', label: 'Figures' },
            ]}
            onChange={kind =>
              commit(setColumnKind(session.site, table.id, at.column, kind), `Let a column hold ${kind}`)
            }
          />
        )}
      </span>
      <span className="ml-auto flex items-center">
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values"
          aria-label="File of values"
          className="sr-only"
          tabIndex={-1}
          onChange={event => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) void take(chosen);
          }}
        />
        <Button className={small} onClick={() => file.current?.click()}>
          Import a CSV file…
        </Button>
        <Button className={small} onClick={save}>
          Save as CSV
        </Button>
      </span>
    </div>
  );
}
