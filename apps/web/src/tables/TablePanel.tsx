import { type Id, ok, type RichText, type Site, type WidgetRecord } from '@cove/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { X } from 'lucide-react';
import { memo, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { toast } from 'sonner';
import { Button } from '../ui/Button.tsx';
import { CellEditor } from './CellEditor.tsx';
import type { After } from './cellKeys.ts';
import { gridOfHtml, htmlOfGrid } from './gridOfHtml.ts';
import { gridOfText, lineOf, textOfGrid } from './gridOfText.ts';
import { openTable } from './openTable.ts';
import { TableBar } from './TableBar.tsx';
import { type At, useGrid } from './useGrid.ts';

const ROW = 28;
const LINE = 'minmax(7rem,1fr)';

/** Rows down and columns across to the cell where writing goes on. */
const STEPS: Readonly<Record<After, readonly [number, number] | null>> = {
  here: null,
  below: [1, 0],
  next: [0, 1],
  before: [0, -1],
};

const close = () => openTable.setState({ table: null });

/** A table as a grid of cells, to be walked by keys, written in, and filled from a spreadsheet. */
export function TablePanel({ site, table: id }: { site: Site; table: Id }) {
  const table = site.kinds.widget.get(id);
  const isGone = table?.widget !== 'table';
  useEffect(() => {
    if (isGone) close();
  }, [isGone]);
  if (!table || isGone) return null;
  return (
    <section
      aria-label="Table as a grid"
      className="flex h-[44%] min-h-48 shrink-0 flex-col border-t border-hair bg-paper"
    >
      <div className="flex items-center gap-3 px-4 pt-2 pb-1">
        <h2 className="font-semibold">
          {typeof table.content.caption === 'string' && table.content.caption !== ''
            ? table.content.caption
            : 'Table'}
        </h2>
        <p className="truncate text-muted">
          Enter or typing writes in a cell; copy and paste go to and from a spreadsheet.
        </p>
        <Button aria-label="Close the grid" className="ml-auto w-7 justify-center px-0!" onClick={close}>
          <X size={14} />
        </Button>
      </div>
      <Cells key={id} site={site} table={table} onClose={close} />
    </section>
  );
}

function Cells({ site, table, onClose }: { site: Site; table: WidgetRecord; onClose(): void }) {
  const grid = useGrid(site, table);
  const { at, block, columns, rows, size, select } = grid;
  const scroller = useRef<HTMLDivElement>(null);
  /** The cell that is written in; with a text where typing began it. */
  const [writing, setWriting] = useState<{ at: At; typed: string | null } | null>(null);
  const dragging = useRef(false);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    scrollPaddingStart: ROW * 2,
  });
  useEffect(() => {
    scroller.current?.focus();
  }, []);
  // What is current comes into view, wherever keys have led.
  useEffect(() => {
    if (at.row > 0 && at.row <= rows.length) virtual.scrollToIndex(at.row - 1);
  }, [at.row, rows.length, virtual]);

  const write = (typed: string | null) => {
    if (columns.length > 0) flushSync(() => setWriting({ at, typed }));
  };
  const done = (cell: At, words: RichText | null, after: After) => {
    setWriting(null);
    if (words) grid.write(cell, words);
    const step = STEPS[after];
    if (!step) return;
    scroller.current?.focus();
    move(...step);
  };
  const move = (down: number, across: number, extend = false) => {
    const from = extend
      ? {
          row: at.row === block.top ? block.bottom : block.top,
          column: at.column === block.left ? block.right : block.left,
        }
      : at;
    select({ row: from.row + down, column: from.column + across }, extend);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (writing) return;
    const mod = event.ctrlKey || event.metaKey;
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / ROW) - 2);
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowDown: [mod ? size.rows : 1, 0],
      ArrowUp: [mod ? -size.rows : -1, 0],
      ArrowRight: [0, mod ? size.columns : 1],
      ArrowLeft: [0, mod ? -size.columns : -1],
      PageDown: [page, 0],
      PageUp: [-page, 0],
      Home: [mod ? -size.rows : 0, -size.columns],
      End: [mod ? size.rows : 0, size.columns],
    };
    const by = moves[event.key];
    if (by) move(...by, event.shiftKey);
    else if (event.key === 'Enter' || event.key === 'F2') write(null);
    else if (event.key === 'Delete' || event.key === 'Backspace') grid.clear();
    else if (event.key === 'Escape') onClose();
    else if (mod && event.key.toLowerCase() === 'a') {
      grid.selectNew({ row: 0, column: 0 });
      select({ row: size.rows - 1, column: size.columns - 1 }, true);
    } else if (event.key.length === 1 && !mod && !event.altKey) write(event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const copy = (event: React.ClipboardEvent, cuts: boolean) => {
    if (writing) return;
    const cells = grid.selected();
    event.clipboardData.setData('text/plain', textOfGrid(cells));
    event.clipboardData.setData('text/html', htmlOfGrid(cells));
    event.preventDefault();
    event.stopPropagation();
    if (cuts) grid.clear();
  };
  const paste = (event: React.ClipboardEvent) => {
    if (writing) return;
    event.preventDefault();
    event.stopPropagation();
    const cells = gridOfHtml(event.clipboardData.getData('text/html'));
    const read = cells ? ok(cells) : gridOfText(event.clipboardData.getData('text/plain'));
    if (!read.ok) toast.error(read.problem.message);
    else if (read.value.length > 0) grid.paste(read.value);
  };
  const cellUnder = ({ target }: { target: EventTarget }): At | null => {
    const cell = target instanceof Element ? target.closest<HTMLElement>('[data-column]') : null;
    return cell ? { row: Number(cell.dataset.row), column: Number(cell.dataset.column) } : null;
  };
  const press = (event: React.PointerEvent) => {
    const it = cellUnder(event);
    if (!it || event.button !== 0) return;
    if (writing) {
      if (it.row === writing.at.row && it.column === writing.at.column) return;
      // Its words are kept as it goes.
      setWriting(null);
    }
    dragging.current = true;
    select(it, event.shiftKey);
  };
  const reach = (event: React.PointerEvent) => {
    const it = dragging.current ? cellUnder(event) : null;
    if (it) select(it, true);
  };
  useEffect(() => {
    const stop = () => {
      dragging.current = false;
    };
    window.addEventListener('pointerup', stop);
    return () => window.removeEventListener('pointerup', stop);
  }, []);

  const template = `3rem repeat(${size.columns}, ${LINE})`;
  const line = (row: number, cells: readonly RichText[]) => (
    <Line
      key={row}
      row={row}
      cells={cells}
      columns={size.columns}
      template={template}
      figures={columns.map(it => it.kind === 'figures').join()}
      current={row === at.row ? at.column : -1}
      written={writing?.at.row === row ? writing.at.column : -1}
      from={row >= block.top && row <= block.bottom ? block.left : -1}
      to={row >= block.top && row <= block.bottom ? block.right : -1}
    >
      {writing && row === writing.at.row && (
        <CellEditor
          key={writing.at.column}
          label={
            row === 0
              ? `Heading of column ${writing.at.column + 1}`
              : `Row ${row}, column ${writing.at.column + 1}`
          }
          value={grid.words(writing.at)}
          typed={writing.typed}
          onDone={(words, after) => done(writing.at, words, after)}
        />
      )}
    </Line>
  );
  return (
    <>
      <TableBar table={table} grid={grid} />
      {/* biome-ignore lint/a11y/useSemanticElements: a grid that is drawn as it is scrolled to is no table */}
      <div
        ref={scroller}
        role="grid"
        tabIndex={0}
        aria-label="Cells"
        aria-rowcount={size.rows}
        aria-colcount={size.columns}
        aria-multiselectable
        aria-activedescendant={`cell-${at.row}-${at.column}`}
        onKeyDown={onKeyDown}
        onPointerDown={press}
        onMouseDown={event => {
          // The focus stays with the grid, which says which of its cells is current.
          if (writing) return;
          event.preventDefault();
          scroller.current?.focus();
        }}
        onPointerOver={reach}
        onDoubleClick={event => !writing && cellUnder(event) && write(null)}
        onCopy={event => copy(event, false)}
        onCut={event => copy(event, true)}
        onPaste={paste}
        className="thin-scroll min-h-0 flex-1 overflow-auto border-t border-hair font-mono text-[12px] outline-offset-[-2px]"
      >
        <div className="sticky top-0 z-10 w-max min-w-full border-b border-ink/40 bg-ground font-semibold">
          {line(
            0,
            columns.map(it => it.heading),
          )}
        </div>
        {columns.length === 0 && <p className="p-4 font-sans text-muted">Add a column to begin with.</p>}
        <div className="relative w-max min-w-full" style={{ height: virtual.getTotalSize() }}>
          <div
            className="absolute top-0 left-0 min-w-full"
            style={{ transform: `translateY(${virtual.getVirtualItems()[0]?.start ?? 0}px)` }}
          >
            {virtual.getVirtualItems().map(({ index }) => {
              const row = rows[index];
              return row ? line(index + 1, grid.cells(row)) : null;
            })}
          </div>
        </div>
      </div>
    </>
  );
}

/** One line of the grid; it is drawn anew only where something in it is other. */
const Line = memo(function Line({
  row,
  cells,
  columns,
  template,
  figures,
  current,
  written,
  from,
  to,
  children,
}: {
  row: number;
  cells: readonly RichText[];
  columns: number;
  template: string;
  /** Whether each column holds figures, as text. */
  figures: string;
  /** The current column; −1 where it is in another line. */
  current: number;
  /** The column that is written in; −1 likewise. */
  written: number;
  from: number;
  to: number;
  children?: React.ReactNode;
}) {
  const kinds = figures.split(',');
  return (
    // biome-ignore lint/a11y/useSemanticElements: a grid that is drawn as it is scrolled to is no table
    <div
      role="row"
      tabIndex={-1}
      aria-rowindex={row + 1}
      className="grid border-b border-hair"
      style={{ gridTemplateColumns: template, height: ROW }}
    >
      <span aria-hidden className="truncate bg-ground px-2 py-1 text-right text-muted">
        {row === 0 ? '' : row}
      </span>
      {Array.from({ length: columns }, (_, column) => (
        // biome-ignore lint/a11y/useSemanticElements: a grid that is drawn as it is scrolled to is no table
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: a column is its number
          key={column}
          id={`cell-${row}-${column}`}
          data-row={row}
          data-column={column}
          role="gridcell"
          tabIndex={-1}
          aria-selected={column >= from && column <= to}
          className={`relative min-w-0 border-l border-hair select-none ${column >= from && column <= to ? 'bg-wash' : ''} ${current === column ? 'outline-[1.5px] -outline-offset-1 outline-teal outline-solid' : ''}`}
        >
          <span
            className={`block truncate px-2 py-1 ${kinds[column] === 'true' ? 'text-right tabular-nums' : ''}`}
          >
            {lineOf(cells[column] ?? [])}
          </span>
          {written === column && children}
        </div>
      ))}
    </div>
  );
});
