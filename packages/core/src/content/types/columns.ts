import { isObject } from '../../values/json.ts';
import type { Content, ContentType } from '../contentType.ts';
import { linkReferences } from '../linkReferences.ts';
import { linksIn, plainOf, type RichText, readRichText, withTextLinks } from '../richText.ts';

/** What a column holds: figures are read down it, and stand at its end. */
export const COLUMN_KINDS = ['words', 'figures'] as const;

/** A column of a table. */
export interface TableColumn {
  readonly heading: RichText;
  readonly kind: (typeof COLUMN_KINDS)[number];
}

/** The columns of a table, from its start on. */
export interface Columns {
  readonly columns: readonly TableColumn[];
}

/** What a table has for columns. */
export interface ColumnsField {
  type: 'columns';
  label: string;
}

/** Columns that a table can have. */
export const MOST_COLUMNS = 60;

export const isColumns = (it: Content | undefined): it is Columns =>
  typeof it === 'object' && it !== null && 'columns' in it;

function readColumn(it: unknown): TableColumn | null {
  if (!isObject(it)) return null;
  const heading = readRichText(it.heading);
  const kind = COLUMN_KINDS.find(known => known === it.kind);
  return heading && kind ? { heading, kind } : null;
}

export const columns: ContentType<ColumnsField> = {
  read(it) {
    if (!isObject(it) || !Array.isArray(it.columns) || it.columns.length > MOST_COLUMNS) return undefined;
    const read = it.columns.map(readColumn);
    const good = read.filter(column => column !== null);
    return good.length === read.length ? { columns: good } : undefined;
  },
  expected: () => `at most ${MOST_COLUMNS} columns, each with a heading and its kind`,
  isEmpty: value => !isColumns(value) || value.columns.length === 0,
  print: value => (isColumns(value) ? value.columns.map(it => plainOf(it.heading)).join(' | ') : ''),
  references: value =>
    isColumns(value) ? value.columns.flatMap(it => linksIn(it.heading)).flatMap(linkReferences) : [],
  mapped(value, { link }) {
    if (!isColumns(value)) return value;
    const after = value.columns.map(column => {
      const heading = withTextLinks(column.heading, link);
      return heading === column.heading ? column : { ...column, heading };
    });
    return after.every((column, i) => column === value.columns[i]) ? value : { columns: after };
  },
};
