import { isCells, isColumns, plainOf, richText } from '../../content/index.ts';
import { linkStates, runBaseline } from '../kit/baseline.ts';
import { element, programStyles } from '../kit/element.ts';
import { h, linesToNodes, runParts } from '../kit/markup.ts';

const KINDS = ['row', 'headings'] as const;

/** One row of a table: a cell for each of its columns. */
export const tableRow = element({
  name: 'tableRow',
  label: 'Table row',
  family: 'text',
  parts: {
    row: { label: 'Row', kind: 'box', states: ['alternate', 'hover'] },
    head: { label: 'Head', kind: 'label', inside: 'row' },
    side: { label: 'First column', kind: 'label', inside: 'row' },
    figureHead: { label: 'Head above figures', kind: 'label', inside: 'row' },
    cell: { label: 'Cell', kind: 'text', inside: 'row' },
    figure: { label: 'Figure', kind: 'text', inside: 'row' },
    cellLabel: { label: 'Heading within a cell', kind: 'label', inside: 'cell' },
    ...runParts('cell'),
  },
  axes: ['look'],
  holds: null,
  onlyIn: ['table'],
  // A row of headings that its table makes would look as if it wore nothing.
  holderSample: { head: 'column' },
  base: { row: 'border-color:currentcolor' },
  program: programStyles({
    'row/display': 'table-row',
    ...cell('head', { fontWeight: 700, borderBottomWidth: '2px' }),
    ...cell('side', { fontWeight: 600, borderBottomWidth: '1px' }),
    ...cell('figureHead', { fontWeight: 700, borderBottomWidth: '2px', textAlign: 'end' }),
    ...cell('cell', { borderBottomWidth: '1px' }),
    ...cell('figure', { borderBottomWidth: '1px', textAlign: 'end' }),
    'cellLabel/display': 'none',
    ...runBaseline,
    ...linkStates('link'),
  }),
  content: {
    cells: { type: 'cells', label: 'Cells' },
    kind: { type: 'choice', label: 'Kind of row', options: KINDS },
  },
  sample: {
    cells: { cells: [richText('Weekdays'), richText('09:00'), richText('18:00')] },
    kind: 'row',
  },
  begins: { cells: { cells: [] }, kind: 'row' },
  markup: (content, context) => {
    const { holder = {} } = context.item ?? {};
    const columns = isColumns(holder.columns) ? holder.columns.columns : [];
    const cells = isCells(content.cells) ? content.cells.cells : [];
    const hasSide = holder.head !== 'row' && holder.head !== 'none';
    // Where rows are no rows of a table any more, each cell says what it is about.
    const labelled = context.speaks('cellLabel');
    return h(
      'tr',
      { part: 'row' },
      ...columns.map(({ heading, kind }, i) => {
        const words = linesToNodes(cells[i] ?? [], context);
        const isFigure = kind === 'figures';
        if (content.kind === 'headings')
          return h('th', { part: isFigure ? 'figureHead' : 'head', scope: 'col' }, ...words);
        if (hasSide && i === 0) return h('th', { part: 'side', scope: 'row' }, ...words);
        return h(
          'td',
          { part: isFigure ? 'figure' : 'cell' },
          labelled && h('span', { part: 'cellLabel' }, plainOf(heading)),
          ...words,
        );
      }),
    );
  },
  summary: ({ cells }) => (isCells(cells) ? cells.cells.map(plainOf).filter(Boolean).join(', ') : ''),
  loose: ({ cells }) => [{ widget: 'text', content: { text: isCells(cells) ? cells.cells.flat() : [] } }],
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
