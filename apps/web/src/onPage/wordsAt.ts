import {
  type CellPlace,
  cellAt,
  type Edit,
  editOf,
  elementNamed,
  getRecord,
  type Id,
  isRichText,
  partOf,
  type RichText,
  type Site,
  setCell,
  type WidgetRecord,
} from '@cove/core';

/** Words with emphasis and links that can be written where they stand on the page. */
export interface WordsAt {
  /** What they are called to a reader of the screen. */
  label: string;
  /** The element that holds nothing but them, or one of their paragraphs. */
  element: HTMLElement;
  holds: 'words' | 'paragraph';
  read(site: Site): RichText;
  write(site: Site, words: RichText): Edit[];
  /** Where they are a cell: its table, and its place there. */
  cell: { table: Id; place: CellPlace } | null;
}

const widgetAt = (site: Site, id: Id | undefined): WidgetRecord | null => {
  const record = id === undefined ? undefined : getRecord(site, id);
  return record?.kind === 'widget' ? record : null;
};

/** The cell of a table that an element stands in. A row of headings is no record, so its elements are its table’s. */
function cellWordsAt(record: WidgetRecord, element: HTMLElement): WordsAt | null {
  const cell = element.closest<HTMLTableCellElement>('td, th');
  if (cell?.dataset.node !== record.id) return null;
  const isRow = record.widget === 'tableRow';
  const table = isRow ? record.at.parent : record.id;
  const place = { row: isRow ? record.id : null, column: cell.cellIndex };
  return {
    label: isRow ? 'Cell' : 'Heading of a column',
    element: cell,
    holds: 'words',
    read: site => cellAt(site, table, place),
    write: (site, words) => setCell(site, table, place, words),
    cell: { table, place },
  };
}

/** The words with emphasis and links that an element of a widget is part of; null where it is part of none. */
export function wordsAt(record: WidgetRecord, element: HTMLElement): WordsAt | null {
  if (record.widget === 'tableRow' || record.widget === 'table') return cellWordsAt(record, element);
  const type = elementNamed(record.widget);
  const [name, field] = Object.entries(type.content).find(([, it]) => it.type === 'rich') ?? [];
  if (name === undefined || !field) return null;
  const held = [
    ...element.ownerDocument.querySelectorAll<HTMLElement>(`[data-node="${CSS.escape(record.id)}"]`),
  ];
  const whole = held.find(it => partOf(type, it.dataset.part ?? '')?.shows === name && it.contains(element));
  const block = element.closest<HTMLElement>('p');
  const found = whole ?? (block?.dataset.node === record.id ? block : null);
  if (!found) return null;
  return {
    label: field.label,
    element: found,
    holds: whole ? 'words' : 'paragraph',
    read(site) {
      const text = widgetAt(site, record.id)?.content[name];
      return isRichText(text) ? text : [];
    },
    write(site, words) {
      const now = widgetAt(site, record.id);
      return now ? [editOf(now).setIn('content', name, words)] : [];
    },
    cell: null,
  };
}
