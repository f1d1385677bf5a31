import {
  byOrder,
  ELEMENTS,
  elementNamed,
  type Id,
  nameOf,
  PROPERTIES,
  pagesInOrder,
  printContent,
  type Site,
  tokenPath,
  type WidgetRecord,
} from '@cove/core';
import type { StationAct } from '../acts/stationActs.tsx';
import { GLOSSARY } from '../glossary/glossary.ts';
import { restoreHints } from '../hints/dismissed.ts';
import { STATIONS } from '../stations/index.ts';

export const GROUPS = [
  'Commands',
  'Pages',
  'On this site',
  'Elements',
  'Swatches and tokens',
  'Schemes, styles and presets',
  'Properties',
  'Glossary',
] as const;
export type Group = (typeof GROUPS)[number];

export interface Entry {
  key: string;
  group: Group;
  label: string;
  /** What it is, or the keys for it. */
  note: string;
  /** Further words that find it. */
  words: string;
  act: Act;
  /** Found by something it says rather than by its name, which counts less. */
  isSaid?: true;
}

/** What choosing an entry does. */
export type Act =
  | { type: 'go'; id: Id }
  | { type: 'open'; path: string }
  /** On the bench of what is picked, else of an element of the guide. */
  | { type: 'find'; css: string }
  | { type: 'run'; run(): void }
  | { type: 'keys' }
  | { type: 'settings' }
  | { type: 'glossary'; word: string | null }
  | { type: 'undo' }
  | { type: 'redo' };

/** Things of a large site are looked for only from this many letters on, so that opening costs nothing. */
export const ENOUGH = 2;

const open = (path: string): Act => ({ type: 'open', path });
const go = (id: Id): Act => ({ type: 'go', id });
const entry = (group: Group, key: string, label: string, note: string, act: Act, words = ''): Entry => ({
  group,
  key,
  label,
  note,
  words,
  act,
});

/** What can be done with what is open and picked. */
export const stationEntries = (acts: readonly StationAct[]): Entry[] =>
  acts.map(({ label, keys = '', words = '', run }) =>
    entry('Commands', `here ${label}`, label, keys, { type: 'run', run }, words),
  );

const ACTS: readonly Entry[] = [
  ...STATIONS.map(it => entry('Commands', it.name, it.open.label, '', open(it.name), it.open.words)),
  entry(
    'Commands',
    'ground',
    'Set the site’s ground',
    '',
    open('guide?ground'),
    'background pattern picture boxed',
  ),
  entry(
    'Commands',
    'guides',
    'Take another guide, or go back to a snapshot',
    '',
    open('guide?guides'),
    'ready theme',
  ),
  entry(
    'Commands',
    'import',
    'Import into the guide: design tokens, style sheets, colours',
    '',
    open('guide?import'),
    'paste upload open file folder zip css json variables custom properties dtcg swatches palette',
  ),
  entry(
    'Commands',
    'export',
    'Export the guide: design tokens, CSS, Tailwind, TypeScript',
    '',
    open('release?export'),
    'download save variables custom properties dtcg json theme schemes',
  ),
  entry(
    'Commands',
    'replace',
    'Replace the site with a whole one from a file',
    '',
    open('release?replace'),
    'upload import restore backup json zip',
  ),
  entry(
    'Commands',
    'archive',
    'Download the site as files',
    '',
    open('release'),
    'export zip html archive draft release',
  ),
  entry(
    'Commands',
    'reset',
    'Reset a foundation of the guide',
    '',
    open('guide?guides'),
    'colours text space shape restore snapshot began',
  ),
  entry(
    'Commands',
    'settings',
    'Site settings',
    '',
    { type: 'settings' },
    'name rename language favicon icon address url breakpoints widths external links',
  ),
  entry('Commands', 'keys', 'Show keyboard shortcuts', '?', { type: 'keys' }, 'shortcuts keyboard help'),
  entry('Commands', 'glossary', 'Glossary', '', { type: 'glossary', word: null }, 'words terms meaning help'),
  entry(
    'Commands',
    'hints',
    'Show hints again',
    '',
    { type: 'run', run: restoreHints },
    'help tips dismissed',
  ),
  entry('Commands', 'undo', 'Undo', 'Ctrl+Z', { type: 'undo' }),
  entry('Commands', 'redo', 'Redo', 'Ctrl+Y', { type: 'redo' }, 'do again'),
];

/** What words mean here. */
const TERMS: readonly Entry[] = GLOSSARY.map(({ word, meaning }) => ({
  ...entry('Glossary', word, word, 'glossary', { type: 'glossary', word }, meaning),
  isSaid: true,
}));

/** All that the guide has, and the pages: found from the first letter on. */
export function guideEntries(site: Site): Entry[] {
  const { token, scheme, textStyle, preset } = site.kinds;
  const sorted = <T extends { id: Id; order: string }>(records: Iterable<T>): T[] =>
    [...records].sort(byOrder);
  return [
    ...ACTS,
    ...TERMS,
    ...pagesInOrder(site).map(it => entry('Pages', it.id, it.title, 'page', go(it.id), it.path)),
    ...ELEMENTS.filter(it => it.markup || it.name === 'page').map(it =>
      entry('Elements', it.name, it.label, 'element', open(`guide?element=${it.name}`), it.family),
    ),
    ...sorted(token.values()).map(it =>
      entry('Swatches and tokens', it.id, it.name, tokenPath(token, it.id), go(it.id), it.group),
    ),
    ...sorted(scheme.values()).map(it =>
      entry('Schemes, styles and presets', it.id, it.name, 'scheme', go(it.id)),
    ),
    ...sorted(textStyle.values()).map(it =>
      entry('Schemes, styles and presets', it.id, it.name, 'text style', go(it.id)),
    ),
    ...sorted(preset.values()).map(it =>
      entry('Schemes, styles and presets', it.id, it.name, 'preset', go(it.id)),
    ),
    ...PROPERTIES.map(it =>
      entry('Properties', it.name, it.label, it.css, { type: 'find', css: it.css }, it.words),
    ),
  ];
}

/** Entries of things that are listed, at most. */
const MOST_THINGS = 50;
/** Characters of a long text that are shown before the words that were looked for. */
const BEFORE = 24;

/** A text from a little before the words that were found in it. */
const from = (text: string, at: number): string => (at <= BEFORE ? text : `…${text.slice(at - BEFORE)}`);

/** What of a widget’s content holds some words; null where nothing does. */
function wordsFound(widget: WidgetRecord, words: string): string | null {
  const { content } = elementNamed(widget.widget);
  for (const [name, field] of Object.entries(content)) {
    if (field.type !== 'plain' && field.type !== 'rich' && field.type !== 'cells') continue;
    const text = printContent(field, widget.content[name] ?? null);
    const at = text.toLowerCase().indexOf(words);
    if (at >= 0) return from(text, at);
  }
  return null;
}

/** Sections by their names, and widgets by their names and whatever they say; the first fifty. */
export function thingEntries(site: Site, search: string): Entry[] {
  const words = search.toLowerCase().trim();
  if (words.length < ENOUGH) return [];
  const found: Entry[] = [];
  const note = (id: Id, label: string, kind: string, said: Pick<Entry, 'isSaid'> = {}) =>
    found.push({ ...entry('On this site', id, label, kind, go(id)), ...said });
  const isNamed = (id: Id) => nameOf(site, id).toLowerCase().includes(words);
  for (const id of site.kinds.section.keys()) {
    if (found.length >= MOST_THINGS) return found;
    if (isNamed(id)) note(id, nameOf(site, id), 'section');
  }
  for (const [id, widget] of site.kinds.widget) {
    if (found.length >= MOST_THINGS) return found;
    const kind = elementNamed(widget.widget).label.toLowerCase();
    const said = isNamed(id) ? null : wordsFound(widget, words);
    if (said !== null) note(id, said, kind, { isSaid: true });
    else if (isNamed(id)) note(id, nameOf(site, id), kind);
  }
  return found;
}
