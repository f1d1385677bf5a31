import { cellWords, type Grid, LIMITS, ok, plainOf, type Result, type RichText, tooLong } from '@cove/core';
import Papa from 'papaparse';

/**
 * Cells as a spreadsheet puts them on the clipboard: a line a row, parted by tabs, in quotes where they hold either. Text
 * without a tab is one column.
 */
export function gridOfText(text: string): Result<Grid> {
  const problem = tooLong(text, LIMITS.typed.cells);
  if (problem) return problem;
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' });
  return ok(data.map(row => row.map(cellWords)));
}

/** The rows of a file of values parted by commas, semicolons or tabs (RFC 4180); which of them is found out. */
export function gridOfFile(text: string): Result<Grid> {
  const problem = tooLong(text, LIMITS.typed.cells);
  if (problem) return problem;
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  return ok(data.map(row => row.map(cellWords)));
}

const plainRows = (grid: Grid): string[][] => grid.map(row => row.map(plainOf));

/** Cells as a spreadsheet takes them off the clipboard. */
export const textOfGrid = (grid: Grid): string =>
  Papa.unparse(plainRows(grid), { delimiter: '\t', newline: '\n' });

/** What a spreadsheet would take for a formula; a number with its sign is none. */
const FORMULA = /^(?:[=@\t\r]|[+-](?![\d.,\s%]*$))/;

/**
 * A file of values parted by commas (RFC 4180). What a spreadsheet would take for a formula is told to be words by a quote
 * before it, since such a file may be opened by somebody who trusts it.
 */
export const fileOfGrid = (grid: Grid): string =>
  `${Papa.unparse(plainRows(grid), { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;

/** A cell as it is shown where it takes one line. */
export const lineOf = (words: RichText): string => plainOf(words).replace(/\n/g, ' ⏎ ');
