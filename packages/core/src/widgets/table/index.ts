import { isColumns, plainOf, richText } from '../../content/index.ts';
import { focusRing } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { CHILDREN, h, type MadeItem } from '../kit/markup.ts';
import { tableLooks } from './looks.ts';

const HEADINGS = ['row and column', 'row', 'column', 'none'] as const;

/** Rows of cells, which say what its columns are about; where that is shown, the headings are a row like the others. */
export const table = element({
  name: 'table',
  label: 'Table',
  family: 'text',
  about: 'Rows and columns',
  words: 'timetable prices figures data grid spreadsheet compare',
  parts: {
    box: { label: 'Frame', kind: 'box', states: ['focus'] },
    table: { label: 'Table', kind: 'box', inside: 'box' },
    caption: { label: 'Caption', kind: 'text', inside: 'table', shows: 'caption' },
    rows: { label: 'Rows', kind: 'box', inside: 'table' },
  },
  axes: ['look', 'arrangement'],
  looks: tableLooks,
  holds: 'rows',
  accepts: ['tableRow'],
  holdsAtFirst: [
    { widget: 'tableRow', content: { cells: { cells: [richText('Cell'), richText('Cell')] } } },
    { widget: 'tableRow', content: { cells: { cells: [richText('Cell'), richText('Cell')] } } },
  ],
  sampleHolds: [
    {
      widget: 'tableRow',
      content: { cells: { cells: [richText('Weekdays'), richText('09:00'), richText('18:00')] } },
    },
    {
      widget: 'tableRow',
      content: { cells: { cells: [richText('Saturday'), richText('10:00'), richText('16:00')] } },
    },
  ],
  // A browser’s own sheet lets a row take the colour of its table’s border.
  base: { table: 'border-collapse:collapse;text-indent:inherit', rows: 'border-color:currentcolor' },
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
    'rows/display': 'table-row-group',
  }),
  content: {
    columns: { type: 'columns', label: 'Columns' },
    head: { type: 'choice', label: 'Headings', options: HEADINGS },
    caption: { type: 'plain', label: 'Caption' },
  },
  sample: {
    columns: {
      columns: [
        { heading: richText('Days'), kind: 'words' },
        { heading: richText('From'), kind: 'figures' },
        { heading: richText('Until'), kind: 'figures' },
      ],
    },
    head: 'row and column',
    caption: 'Opening hours',
  },
  begins: {
    columns: {
      columns: [
        { heading: richText('Column'), kind: 'words' },
        { heading: richText('Column'), kind: 'words' },
      ],
    },
    head: 'row and column',
    caption: '',
  },
  markup: (content, context) => {
    const caption = plain(content, 'caption');
    const columns = isColumns(content.columns) ? content.columns.columns : [];
    const headings: MadeItem = {
      item: 'tableRow',
      key: 'first',
      content: { cells: { cells: columns.map(it => it.heading) }, kind: 'headings' },
      holds: [],
    };
    const shown = content.head !== 'column' && content.head !== 'none';
    return h(
      'div',
      { part: 'box', tabindex: 0, role: 'region', 'aria-label': caption || context.phrase('table') },
      h(
        'table',
        { part: 'table' },
        caption !== '' && h('caption', { part: 'caption' }, caption),
        shown && columns.length > 0 && h('thead', { part: 'rows' }, headings),
        h('tbody', { part: 'rows' }, CHILDREN),
      ),
    );
  },
  summary: content =>
    plain(content, 'caption') ||
    (isColumns(content.columns) ? content.columns.columns : []).map(it => plainOf(it.heading)).join(', '),
});
