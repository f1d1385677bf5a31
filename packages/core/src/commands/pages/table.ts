import {
  COLUMN_KINDS,
  isCells,
  isColumns,
  MOST_COLUMNS,
  plainOf,
  type RichText,
  richText,
  type TableColumn,
} from '../../content/index.ts';
import { LIMITS } from '../../limits/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editOf,
  type Id,
  newIds,
  nodesUnder,
  putRecord,
  removeRecord,
  type Site,
  type WidgetRecord,
} from '../../site/index.ts';
import { beginningOf, placesAt } from './structure.ts';

/** A place in a table; the row of headings has no id of its own. */
export interface CellPlace {
  readonly row: Id | null;
  readonly column: number;
}

/** The rows of a table as a program for tables has them: lines of cells. */
export type Grid = readonly (readonly RichText[])[];

const NO_WORDS: RichText = [];

export const columnsIn = (table: WidgetRecord): readonly TableColumn[] =>
  isColumns(table.content.columns) ? table.content.columns.columns : [];
export const cellsIn = (row: WidgetRecord | undefined): readonly RichText[] =>
  isCells(row?.content.cells) ? row.content.cells.cells : [];
export const rowsIn = (site: Site, table: Id): WidgetRecord[] =>
  nodesUnder(site, table).flatMap(id => site.kinds.widget.get(id) ?? []);

const setColumns = (table: WidgetRecord, columns: readonly TableColumn[]): Edit =>
  editOf(table).setIn('content', 'columns', { columns });
const setCells = (row: WidgetRecord, cells: readonly RichText[]): Edit =>
  editOf(row).setIn('content', 'cells', { cells });

/** Cells of a row that may be shorter than it is asked to be. */
const padded = (cells: readonly RichText[], length: number): RichText[] =>
  Array.from({ length: Math.max(cells.length, length) }, (_, i) => cells[i] ?? NO_WORDS);
const withCell = (cells: readonly RichText[], column: number, words: RichText): RichText[] =>
  padded(cells, column + 1).with(column, words);

export function cellAt(site: Site, table: Id, { row, column }: CellPlace): RichText {
  const record = site.kinds.widget.get(table);
  if (!record) return NO_WORDS;
  return row === null
    ? (columnsIn(record)[column]?.heading ?? NO_WORDS)
    : (cellsIn(site.kinds.widget.get(row))[column] ?? NO_WORDS);
}

/** Writes one cell, or the heading of a column. */
export function setCell(site: Site, table: Id, { row, column }: CellPlace, words: RichText): Edit[] {
  const record = site.kinds.widget.get(row ?? table);
  if (!record) return [];
  if (row !== null) return [setCells(record, withCell(cellsIn(record), column, words))];
  const columns = columnsIn(record);
  return [
    setColumns(
      record,
      columns.map((it, i) => (i === column ? { ...it, heading: words } : it)),
    ),
  ];
}

/** Gives every row other cells, where they differ. */
const eachRow = (site: Site, table: Id, other: (cells: readonly RichText[]) => readonly RichText[]): Edit[] =>
  rowsIn(site, table).flatMap(row => {
    const cells = cellsIn(row);
    const after = other(cells);
    return after === cells ? [] : [setCells(row, after)];
  });

const tooWide = () =>
  fail({
    code: 'too-much',
    message: `A table has at most ${MOST_COLUMNS} columns.`,
    expected: `at most ${MOST_COLUMNS} columns`,
  });

const tooLong = () =>
  fail({
    code: 'too-much',
    message: 'These are too many rows at once. Take them in parts.',
    expected: `at most ${LIMITS.change.edits} rows`,
  });

export function addColumn(site: Site, table: Id, index: number): Result<Edit[]> {
  const record = site.kinds.widget.get(table);
  if (!record) return ok([]);
  const columns = columnsIn(record);
  if (columns.length >= MOST_COLUMNS) return tooWide();
  return ok([
    setColumns(record, columns.toSpliced(index, 0, { heading: NO_WORDS, kind: 'words' })),
    ...eachRow(site, table, cells => (cells.length > index ? cells.toSpliced(index, 0, NO_WORDS) : cells)),
  ]);
}

export function removeColumns(site: Site, table: Id, from: number, count: number): Edit[] {
  const record = site.kinds.widget.get(table);
  if (!record) return [];
  return [
    setColumns(record, columnsIn(record).toSpliced(from, count)),
    ...eachRow(site, table, cells => (cells.length > from ? cells.toSpliced(from, count) : cells)),
  ];
}

export function moveColumn(site: Site, table: Id, from: number, to: number): Edit[] {
  const record = site.kinds.widget.get(table);
  const columns = record ? columnsIn(record) : [];
  const [column] = columns.slice(from, from + 1);
  if (!record || !column || from === to || !(to >= 0 && to < columns.length)) return [];
  return [
    setColumns(record, columns.toSpliced(from, 1).toSpliced(to, 0, column)),
    ...eachRow(site, table, cells => {
      const whole = padded(cells, Math.max(from, to) + 1);
      return whole.toSpliced(from, 1).toSpliced(to, 0, whole[from] ?? NO_WORDS);
    }),
  ];
}

export function setColumnKind(site: Site, table: Id, column: number, kind: TableColumn['kind']): Edit[] {
  const record = site.kinds.widget.get(table);
  if (!record) return [];
  return [
    setColumns(
      record,
      columnsIn(record).map((it, i) => (i === column ? { ...it, kind } : it)),
    ),
  ];
}

/** New rows from a place on. */
export function addRows(
  site: Site,
  table: Id,
  index: number,
  rows: Grid,
): { edits: Edit[]; ids: readonly Id[] } {
  const { orders, rekeyed } = placesAt(site, table, index, [], rows.length);
  const ids = newIds('w', rows.length);
  const beginning = beginningOf(site, 'tableRow');
  return {
    ids,
    edits: [
      ...rekeyed,
      ...rows.map(
        (cells, i): Edit =>
          putRecord({
            id: ids[i] ?? table,
            kind: 'widget',
            widget: 'tableRow',
            at: { parent: table, order: orders[i] ?? 'V' },
            content: { cells: { cells }, kind: 'row' },
            ...beginning,
            styles: {},
          }),
      ),
    ],
  };
}

/** Figures are told by how they look: digits, with the signs that stand around them. */
const isFigure = (text: string): boolean =>
  text.length < 60 && /^[-+−]?[\d.,:\s%€$£–-]+$/.test(text) && /\d/.test(text);

/** What a column holds, going by its cells: figures where there are some and nothing else. */
const kindOf = (cells: readonly RichText[]): TableColumn['kind'] => {
  const texts = cells.map(it => plainOf(it).trim()).filter(it => it !== '');
  return COLUMN_KINDS[texts.length > 0 && texts.every(isFigure) ? 1 : 0];
};

const widthOf = (grid: Grid): number => grid.reduce((most, row) => Math.max(most, row.length), 0);

/**
 * Puts a block of cells into a table, its first cell at a place; rows and columns that are not there yet are made. Index −1 is
 * the row of headings.
 */
export function pasteGrid(
  site: Site,
  table: Id,
  at: { index: number; column: number },
  grid: Grid,
): Result<Edit[]> {
  const record = site.kinds.widget.get(table);
  if (!record || grid.length === 0) return ok([]);
  const width = at.column + widthOf(grid);
  if (width > MOST_COLUMNS) return tooWide();
  if (grid.length > LIMITS.change.edits) return tooLong();
  const rows = rowsIn(site, table);
  const columns = columnsIn(record);
  const headings = at.index < 0 ? grid[0] : undefined;
  const body = at.index < 0 ? grid.slice(1) : grid;
  const first = Math.max(0, at.index);
  const after = Array.from({ length: Math.max(columns.length, width) }, (_, i): TableColumn => {
    const known = columns[i];
    const pasted = headings?.[i - at.column];
    return {
      heading: pasted ?? known?.heading ?? NO_WORDS,
      kind:
        known?.kind ??
        kindOf(body.flatMap(row => (row[i - at.column] ? [row[i - at.column] ?? NO_WORDS] : []))),
    };
  });
  const edits: Edit[] = [];
  if (headings || after.length > columns.length) edits.push(setColumns(record, after));
  const into = (cells: readonly RichText[], pasted: readonly RichText[]) =>
    pasted.reduce<readonly RichText[]>((all, words, i) => withCell(all, at.column + i, words), cells);
  const made: RichText[][] = [];
  for (const [i, pasted] of body.entries()) {
    const row = rows[first + i];
    if (row) edits.push(setCells(row, into(cellsIn(row), pasted)));
    else made.push([...into([], pasted)]);
  }
  if (made.length > 0) edits.push(...addRows(site, table, rows.length, made).edits);
  return edits.length > LIMITS.change.edits ? tooLong() : ok(edits);
}

/** Makes a table say what a file says, the first line of which heads the columns; rows keep their looks as far as they go. */
export function replaceGrid(site: Site, table: Id, [headings = [], ...body]: Grid): Result<Edit[]> {
  const record = site.kinds.widget.get(table);
  if (!record) return ok([]);
  const width = Math.max(headings.length, widthOf(body));
  if (width > MOST_COLUMNS) return tooWide();
  const rows = rowsIn(site, table);
  const columns = Array.from(
    { length: width },
    (_, i): TableColumn => ({
      heading: headings[i] ?? NO_WORDS,
      kind: kindOf(body.map(row => row[i] ?? NO_WORDS)),
    }),
  );
  const edits = [
    setColumns(record, columns),
    ...body.slice(0, rows.length).flatMap((cells, i) => (rows[i] ? [setCells(rows[i], cells)] : [])),
    ...rows.slice(body.length).map(({ id }): Edit => removeRecord(id)),
    ...addRows(site, table, rows.length, body.slice(rows.length)).edits,
  ];
  return edits.length > LIMITS.change.edits ? tooLong() : ok(edits);
}

/** Empties a block of cells. */
export function clearCells(
  site: Site,
  table: Id,
  rows: readonly (Id | null)[],
  columns: readonly number[],
): Edit[] {
  const record = site.kinds.widget.get(table);
  if (!record) return [];
  const cleared = new Set(columns);
  return rows.flatMap((id): Edit[] => {
    if (id === null)
      return [
        setColumns(
          record,
          columnsIn(record).map((it, i) => (cleared.has(i) ? { ...it, heading: NO_WORDS } : it)),
        ),
      ];
    const row = site.kinds.widget.get(id);
    return row
      ? [
          setCells(
            row,
            cellsIn(row).map((it, i) => (cleared.has(i) ? NO_WORDS : it)),
          ),
        ]
      : [];
  });
}

/** A table as lines of cells, its headings first, each as many as it has columns. */
export function gridOf(site: Site, table: Id): RichText[][] {
  const record = site.kinds.widget.get(table);
  if (!record) return [];
  const columns = columnsIn(record);
  return [
    columns.map(it => it.heading),
    ...rowsIn(site, table).map(row => columns.map((_, i) => cellsIn(row)[i] ?? NO_WORDS)),
  ];
}

/** Words of a cell as it comes from elsewhere: a line for each of its lines. */
export const cellWords = (text: string): RichText =>
  text === '' ? NO_WORDS : richText(...text.split(/\r?\n/));
