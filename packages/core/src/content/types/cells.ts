import { isObject } from '../../values/json.ts';
import type { Content, ContentType } from '../contentType.ts';
import { linkReferences } from '../linkReferences.ts';
import { linksIn, plainOf, type RichText, readRichText, withTextLinks } from '../richText.ts';
import { MOST_COLUMNS } from './columns.ts';

/** The words of a row, a column each; rows can be shorter than their table is wide. */
export interface Cells {
  readonly cells: readonly RichText[];
}

/** The cells of a row of a table. */
export interface CellsField {
  type: 'cells';
  label: string;
}

export const isCells = (it: Content | undefined): it is Cells =>
  typeof it === 'object' && it !== null && 'cells' in it;

export const cells: ContentType<CellsField> = {
  read(it) {
    if (!isObject(it) || !Array.isArray(it.cells) || it.cells.length > MOST_COLUMNS) return undefined;
    const read = it.cells.map(readRichText);
    const good = read.filter(cell => cell !== null);
    return good.length === read.length ? { cells: good } : undefined;
  },
  expected: () => `at most ${MOST_COLUMNS} cells of text`,
  isEmpty: value => !isCells(value) || value.cells.every(cell => plainOf(cell).trim() === ''),
  print: value => (isCells(value) ? value.cells.map(plainOf).join(' | ') : ''),
  references: value => (isCells(value) ? value.cells.flatMap(linksIn).flatMap(linkReferences) : []),
  mapped(value, { link }) {
    if (!isCells(value)) return value;
    const after = value.cells.map(cell => withTextLinks(cell, link));
    return after.every((cell, i) => cell === value.cells[i]) ? value : { cells: after };
  },
};
