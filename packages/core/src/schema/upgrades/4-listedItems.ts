import { isObject } from '../../site/fields.ts';
import type { FindRecord, Raw, RawFieldEdit, Upgrade } from '../upgrade.ts';

/** What a field held that is a list of things: fields that say the rest of it since, and the things. */
interface Apart {
  readonly content: Raw;
  readonly items: readonly Raw[];
}

/** The field that held several things in one, and the widget that each of them is since. */
interface Listing {
  readonly field: string;
  readonly item: string;
  apart(value: unknown): Apart;
}

const NOTHING: Apart = { content: {}, items: [] };

const words = (text: string) => [[{ text }]];

/** Rows were written one a line, cells parted by `|`; the first row was the head. */
const tableRows = (source: string): string[][] =>
  source
    .split('\n')
    .map(row => row.trim().replace(/^\|/, '').replace(/\|$/, ''))
    .filter(row => row !== '')
    .map(row => row.split('|').map(cell => cell.trim()));

/** Columns that a table can have since. */
const MOST_COLUMNS = 60;

/** Cells that are as many as a table can have columns; what lay behind is in the last, parted as it was. */
const within = (cells: readonly string[], most: number): string[] =>
  cells.length <= most ? [...cells] : [...cells.slice(0, most - 1), cells.slice(most - 1).join(' | ')];

/** Figures were known by how they look, a column at a time. */
const isFigure = (text: string): boolean => /^[-+]?[\d.,:\s%€$£–-]+$/.test(text) && /\d/.test(text);

const LISTINGS: Readonly<Record<string, Listing>> = {
  list: {
    field: 'items',
    item: 'listItem',
    apart: value =>
      Array.isArray(value) ? { content: {}, items: value.map(runs => ({ text: [runs] })) } : NOTHING,
  },
  table: {
    field: 'rows',
    item: 'tableRow',
    apart(value) {
      const [first = [], ...lines] = typeof value === 'string' ? tableRows(value) : [];
      const head = within(first, MOST_COLUMNS);
      // A row shows as many cells as the head has, and is kept no longer than it was.
      const rows = lines.map(row => within(row.slice(0, first.length), MOST_COLUMNS));
      const columns = head.map((heading, i) => ({
        heading: words(heading),
        kind: rows.length > 0 && rows.every(row => isFigure(row[i] ?? '')) ? 'figures' : 'words',
      }));
      return {
        content: { columns: { columns }, head: 'row and column' },
        items: rows.map(row => ({ cells: { cells: row.map(words) } })),
      };
    },
  },
  field: {
    field: 'choices',
    item: 'fieldChoice',
    apart: value => ({
      content: {},
      items: (typeof value === 'string' ? value.split('\n') : [])
        .map(it => it.trim())
        .filter(it => it !== '')
        .map(label => ({ label })),
    }),
  },
};

const listingOf = (record: Raw | undefined): Listing | undefined =>
  record?.kind === 'widget' && typeof record.widget === 'string' && Object.hasOwn(LISTINGS, record.widget)
    ? LISTINGS[record.widget]
    : undefined;

/** A number of any text (FNV-1a, 32 bits), to tell apart ids that had to be cut. */
function numberOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** The same wherever the record is upgraded, so that whoever holds it means the same item. */
const itemId = (holder: string, index: number): string =>
  `${holder.length <= 50 ? holder : `${holder.slice(0, 40)}-${numberOf(holder)}`}-item${index}`;

const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';
const orderAt = (index: number): string =>
  `${[62 * 62, 62, 1].map(unit => DIGITS.charAt(Math.floor(index / unit) % 62)).join('')}V`;

const itemAt = (holder: string, widget: string, index: number, content: Raw): Raw => ({
  id: itemId(holder, index),
  kind: 'widget',
  widget,
  at: { parent: holder, order: orderAt(index) },
  content,
  variants: {},
  wears: {},
  styles: {},
});

/** Edits that make the items of a record what a field said: those that were made of it, and no others. */
function itemEdits(id: string, { item }: Listing, items: readonly Raw[], find: FindRecord): Raw[] {
  const edits = items.flatMap((content, i): Raw[] => {
    const there = itemId(id, i);
    return find(there) === undefined
      ? [{ op: 'put', record: itemAt(id, item, i, content) }]
      : Object.entries(content).map(([field, value]) => ({
          op: 'set',
          id: there,
          path: ['content', field],
          value,
        }));
  });
  for (let i = items.length; find(itemId(id, i)) !== undefined; i++)
    edits.push({ op: 'remove', id: itemId(id, i) });
  return edits;
}

function wholeContent(edit: RawFieldEdit, listing: Listing, find: FindRecord): readonly Raw[] {
  if (edit.op === 'unset' || !isObject(edit.value)) return [edit];
  const { [listing.field]: value, ...rest } = edit.value;
  const { content, items } = listing.apart(value);
  return [{ ...edit, value: { ...rest, ...content } }, ...itemEdits(edit.id, listing, items, find)];
}

/**
 * Schema 3 held the entries of a list, the rows of a table and the choices of a field in one text each; since schema 4 they
 * are items, with ids made of that of what holds them.
 */
export const listedItems: Upgrade = {
  to: 4,
  about: 'Entries of lists, rows of tables and choices of fields are things of their own.',
  record(record) {
    const listing = listingOf(record);
    if (!listing || !isObject(record.content) || !Object.hasOwn(record.content, listing.field))
      return [record];
    const { [listing.field]: value, ...rest } = record.content;
    const { content, items } = listing.apart(value);
    const { id } = record;
    return [
      { ...record, content: { ...rest, ...content } },
      ...(typeof id === 'string' ? items.map((it, i) => itemAt(id, listing.item, i, it)) : []),
    ];
  },
  edit(edit, record, find) {
    const listing = listingOf(record);
    const [field, name] = edit.path;
    if (!listing || field !== 'content') return [edit];
    if (name === undefined) return wholeContent(edit, listing, find);
    if (name !== listing.field) return [edit];
    const { content, items } = listing.apart(edit.value);
    return [
      ...Object.entries(content).map(([key, value]) => ({
        op: 'set',
        id: edit.id,
        path: ['content', key],
        value,
      })),
      ...itemEdits(edit.id, listing, items, find),
    ];
  },
};
