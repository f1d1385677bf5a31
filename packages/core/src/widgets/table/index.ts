import { focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { h, type VNode } from '../kit/markup.ts';

/** Rows of a table as they are written: one a line, cells parted by `|`; the first row is the head. */
export const tableRows = (source: string): string[][] =>
  source
    .split('\n')
    .map(row => row.trim().replace(/^\|/, '').replace(/\|$/, ''))
    .filter(row => row !== '')
    .map(row => row.split('|').map(cell => cell.trim()));

/** Figures are read down their column, so a column of them stands at its end. */
const isFigure = (text: string): boolean => /^[-+]?[\d.,:\s%€$£–-]+$/.test(text) && /\d/.test(text);

export const table = element({
  name: 'table',
  label: 'Table',
  family: 'text',
  parts: {
    box: { label: 'Frame', kind: 'box', states: ['focus'] },
    table: { label: 'Table', kind: 'box', inside: 'box' },
    caption: { label: 'Caption', kind: 'text', inside: 'table', shows: 'caption' },
    row: { label: 'Row', kind: 'box', inside: 'table' },
    head: { label: 'Head', kind: 'label', inside: 'row' },
    side: { label: 'First column', kind: 'label', inside: 'row' },
    figureHead: { label: 'Head above figures', kind: 'label', inside: 'row' },
    cell: { label: 'Cell', kind: 'text', inside: 'row' },
    figure: { label: 'Figure', kind: 'text', inside: 'row' },
  },
  axes: ['look'],
  holds: null,
  // A browser’s own sheet lets a row take the colour of its table’s border.
  base: { table: 'border-collapse:collapse;text-indent:inherit', row: 'border-color:currentcolor' },
  program: programStyles({
    'box/display': 'block',
    'box/overflowX': 'auto',
    ...focusRing('box'),
    'table/display': 'table',
    'table/width': '100%',
    'caption/display': 'table-caption',
    'caption/textAlign': 'start',
    'caption/color': 'role.muted',
    'caption/fontSize': '0.875em',
    'caption/paddingBottom': '0.5rem',
    'row/display': 'table-row',
    ...cell('head', { fontWeight: 700, borderBottomWidth: '2px' }),
    ...cell('side', { fontWeight: 600, borderBottomWidth: '1px' }),
    ...cell('figureHead', { fontWeight: 700, borderBottomWidth: '2px', textAlign: 'end' }),
    ...cell('cell', { borderBottomWidth: '1px' }),
    ...cell('figure', { borderBottomWidth: '1px', textAlign: 'end' }),
  }),
  content: {
    rows: { type: 'plain', label: 'Rows, one a line, cells parted by |', long: true },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: {
    rows: 'From | Leaves | Back\nHesk | 07:10 | 09:40\nCarrow | 07:55 | 10:25',
    caption: 'Weekdays in winter',
  },
  begins: { rows: 'Column | Column\nCell | Cell', caption: '' },
  markup: (content, context) => {
    const [head = [], ...rows] = tableRows(plain(content, 'rows'));
    const figures = head.map((_, i) => rows.length > 0 && rows.every(row => isFigure(row[i] ?? '')));
    const caption = plain(content, 'caption');
    const across = (cells: readonly string[], make: (text: string, i: number) => VNode) =>
      h('tr', { part: 'row' }, ...head.map((_, i) => make(cells[i] ?? '', i)));
    return h(
      'div',
      { part: 'box', tabindex: 0, role: 'region', 'aria-label': caption || context.phrase('table') },
      h(
        'table',
        { part: 'table' },
        caption !== '' && h('caption', { part: 'caption' }, caption),
        h(
          'thead',
          {},
          across(head, (text, i) =>
            h('th', { part: figures[i] ? 'figureHead' : 'head', scope: 'col' }, text),
          ),
        ),
        h(
          'tbody',
          {},
          ...rows.map(row =>
            across(row, (text, i) =>
              i === 0
                ? h('th', { part: 'side', scope: 'row' }, text)
                : h('td', { part: figures[i] ? 'figure' : 'cell' }, text),
            ),
          ),
        ),
      ),
    );
  },
  summary: content => plain(content, 'caption') || (tableRows(plain(content, 'rows'))[0] ?? []).join(', '),
});

function cell(part: string, more: Record<string, string | number>): Record<string, string | number> {
  const styles = {
    display: 'table-cell',
    textAlign: 'start',
    fontWeight: 400,
    paddingTop: '0.5rem',
    paddingRight: '1rem',
    paddingBottom: '0.5rem',
    paddingLeft: 0,
    borderBottomStyle: 'solid',
    borderBottomColor: 'role.line',
    ...more,
  };
  return Object.fromEntries(Object.entries(styles).map(([name, value]) => [`${part}/${name}`, value]));
}
