import {
  addSection,
  addWidget,
  allRecords,
  applyChange,
  type Edit,
  isItem,
  must,
  nodesOn,
  nodesUnder,
  WIDGETS,
} from '@cove/core';
import { largePage, tolvane } from '@cove/core/starters';

const put = (record: Extract<Edit, { op: 'put' }>['record']): Edit => ({ op: 'put', record });

/** A page of the demo to be, with nothing on it. */
export const emptyPage = (id: string): Edit =>
  put({
    id,
    kind: 'page',
    pageKind: 'page',
    title: id,
    path: id,
    description: '',
    at: { parent: 'settings', order: 'zz' },
    scheme: null,
    rebind: {},
  });

/** The sections and widgets of a long page, as they come to stand on one of the demo's. */
export function longPage(page: string): Edit[] {
  const nodes = [...allRecords(largePage(1000))].flatMap((record): Edit[] => {
    if (record.kind !== 'section' && record.kind !== 'widget') return [];
    if (record.kind === 'section' && record.area !== 'main') return [];
    const bare = { ...record, id: `${page}-${record.id}`, variants: {}, wears: {}, styles: {} };
    const parent = record.kind === 'section' ? page : `${page}-${record.at.parent}`;
    const at = { ...bare.at, parent };
    return [put(bare.kind === 'section' ? { ...bare, scheme: null, rebind: {}, at } : { ...bare, at })];
  });
  const known = new Set([page, ...nodes.map(it => (it.op === 'put' ? it.record.id : ''))]);
  return [
    emptyPage(page),
    ...nodes.filter(it => it.op === 'put' && 'at' in it.record && known.has(it.record.at.parent)),
  ];
}

const bare = { variants: {}, wears: {}, styles: {} };
const orderAt = (i: number): string => `V${String(i).padStart(5, '0')}V`;

/** A hundred lists in the sections of a long page, of thirty entries each. */
export const listsOn = (page: string): Edit[] =>
  Array.from({ length: 100 }, (_, i) => {
    const list = `${page}-list-${i}`;
    const at = { parent: `${page}-section-${i}`, order: 'zz' };
    return [
      put({ id: list, kind: 'widget', widget: 'list', at, content: { order: 'free' }, ...bare }),
      ...Array.from({ length: 30 }, (_, k) =>
        put({
          id: `${list}-${k}`,
          kind: 'widget',
          widget: 'listItem',
          at: { parent: list, order: orderAt(k) },
          content: { text: [[{ text: `Entry ${k} of list ${i}` }]] },
          ...bare,
        }),
      ),
    ];
  }).flat();

/** About a thousand widgets of all kinds on a page of the demo, each as it is first added. */
export function everyKind(page: string): Edit[] {
  const edits: Edit[] = [emptyPage(page)];
  let site = must(
    applyChange(
      tolvane(() => 'abcdef0123456789.webp'),
      { edits },
    ),
  ).site;
  const lay = (made: { edits: readonly Edit[]; id: string }): string => {
    edits.push(...made.edits);
    site = must(applyChange(site, { edits: made.edits })).site;
    return made.id;
  };
  const kinds = WIDGETS.filter(it => !isItem(it));
  for (let i = 0, count = 0; count < 1000; i++) {
    const section = lay(addSection(site, page, i));
    for (const { name } of kinds) lay(addWidget(site, section, nodesUnder(site, section).length, name));
    const made = site.kinds.page.get(page);
    count = made ? nodesOn(site, made).length : Number.POSITIVE_INFINITY;
  }
  return edits;
}

/** A table of six columns and so many rows on a page of its own. */
export function tablePage(page: string, rows: number): Edit[] {
  const text = (words: string) => [[{ text: words }]];
  const columns = ['From', 'To', 'Leaves', 'Arrives', 'Cars', 'Notes'].map((it, i) => ({
    heading: text(it),
    kind: i > 1 && i < 5 ? ('figures' as const) : ('words' as const),
  }));
  const section = `${page}-section`;
  return [
    emptyPage(page),
    put({
      id: section,
      kind: 'section',
      area: 'main',
      name: 'Table',
      at: { parent: page, order: 'V' },
      scheme: null,
      rebind: {},
      ...bare,
    }),
    put({
      id: `${page}-table`,
      kind: 'widget',
      widget: 'table',
      at: { parent: section, order: 'V' },
      content: { columns: { columns }, head: 'row and column', caption: 'All boats' },
      ...bare,
    }),
    ...Array.from({ length: rows }, (_, i) =>
      put({
        id: `${page}-row-${i}`,
        kind: 'widget',
        widget: 'tableRow',
        at: { parent: `${page}-table`, order: orderAt(i) },
        content: {
          cells: { cells: ['Hesk', 'Carrow', '07:10', '07:50', `${i}`, 'When the tide allows'].map(text) },
        },
        ...bare,
      }),
    ),
  ];
}
