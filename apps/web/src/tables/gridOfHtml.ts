import { type Grid, LIMITS, MOST_COLUMNS, parseLink, type RichText, type TextRun } from '@cove/core';

const MARKS: Readonly<Record<string, Omit<TextRun, 'text' | 'link'>>> = {
  B: { strong: true },
  STRONG: { strong: true },
  I: { emphasis: true },
  EM: { emphasis: true },
  CODE: { code: true },
  MARK: { marked: true },
};
/** Elements that begin a line of their own. */
const BLOCKS: ReadonlySet<string> = new Set(['P', 'DIV', 'LI', 'TR']);

/** The words of a cell, with the emphasis and the links that we know; everything else of it is left. */
function wordsIn(cell: Element): RichText {
  const lines: TextRun[][] = [[]];
  const breakLine = () => {
    if ((lines.at(-1) ?? []).length > 0) lines.push([]);
  };
  const visit = (node: Node, marks: Omit<TextRun, 'text'>) => {
    if (node.nodeType === Node.TEXT_NODE) {
      const text = (node.textContent ?? '').replace(/\s+/g, ' ');
      const line = lines.at(-1);
      if (line && (text.trim() !== '' || line.length > 0) && text !== '') line.push({ text, ...marks });
      return;
    }
    if (!(node instanceof Element)) return;
    if (node.tagName === 'BR') lines.push([]);
    const isBlock = BLOCKS.has(node.tagName);
    if (isBlock) breakLine();
    const link = node.tagName === 'A' ? parseLink(node.getAttribute('href') ?? '') : null;
    for (const child of node.childNodes)
      visit(child, { ...marks, ...MARKS[node.tagName], ...(link && { link }) });
    if (isBlock) breakLine();
  };
  for (const child of cell.childNodes) visit(child, {});
  if (lines.at(-1)?.length === 0) lines.pop();
  return lines;
}

/**
 * The cells of the first table in HTML from a clipboard, such as a spreadsheet puts there; null where there is none, or too
 * much of it to be looked through.
 */
export function gridOfHtml(html: string): Grid | null {
  if (html.length > LIMITS.typed.cells || !/<table\b/i.test(html)) return null;
  // Nothing in a document that is only parsed is run or fetched.
  const table = new DOMParser().parseFromString(html, 'text/html').querySelector('table');
  if (!table) return null;
  return [...table.rows].map(row =>
    [...row.cells].flatMap(cell => {
      const span = Math.min(Math.max(1, cell.colSpan), MOST_COLUMNS);
      return [wordsIn(cell), ...Array.from({ length: span - 1 }, (): RichText => [])];
    }),
  );
}

const TAGS = [
  ['strong', 'strong'],
  ['emphasis', 'em'],
  ['code', 'code'],
  ['marked', 'mark'],
] as const;

/** Cells as HTML, for whoever pastes them elsewhere. */
export function htmlOfGrid(grid: Grid): string {
  const document = new DOMParser().parseFromString('<table></table>', 'text/html');
  const table = document.querySelector('table');
  for (const row of grid) {
    const line = table?.insertRow();
    for (const words of row) {
      const cell = line?.insertCell();
      for (const [i, runs] of words.entries()) {
        if (i > 0) cell?.append(document.createElement('br'));
        for (const run of runs) {
          let node: Node = document.createTextNode(run.text);
          for (const [mark, tag] of TAGS)
            if (run[mark]) {
              const element = document.createElement(tag);
              element.append(node);
              node = element;
            }
          if (run.link?.type === 'url') {
            const link = document.createElement('a');
            link.href = run.link.href;
            link.append(node);
            node = link;
          }
          cell?.append(node);
        }
      }
    }
  }
  return table?.outerHTML ?? '';
}
