import {
  type Content,
  type ContentTypeName,
  isCells,
  isRichText,
  readLink,
  richText,
} from '../../content/index.ts';
import { type GuideData, planGuide, takeGuide } from '../../guide/index.ts';
import { LIMITS } from '../../limits/index.ts';
import { must } from '../../result/index.ts';
import {
  applyChange,
  type Edit,
  editOf,
  isFileType,
  removeRecord,
  type Site,
  settingsOf,
  type WidgetRecord,
} from '../../site/index.ts';
import { elementNamed } from '../../widgets/index.ts';
import { DRAWING_HEIGHT, DRAWING_WIDTH } from '../drawings.ts';
import { neutralPictures } from '../pictures.ts';

const inName = (text: string, from: string, to: string): string => text.replaceAll(from, to);

const wordsOf = (value: Content): string =>
  typeof value === 'string'
    ? value
    : isRichText(value)
      ? value
          .flat()
          .map(it => it.text)
          .join('')
      : '';

/** Stands in cells of tables whose words were a brand’s own. */
const CELL = richText('…');

/** One field in a site made neutral: its words are those of a new widget, what leads away from the site leads nowhere, all else stays. */
function neutralField(
  type: ContentTypeName,
  value: Content,
  atFirst: Content | undefined,
  from: string,
  to: string,
): Content {
  switch (type) {
    case 'plain':
    case 'rich': {
      const words = wordsOf(value).trim();
      if (words === '') return value;
      // What calls the site by its name calls it by the new one.
      if (typeof value === 'string' && words.includes(from)) return inName(value, from, to);
      return atFirst ?? (typeof value === 'string' ? '' : value);
    }
    case 'cells':
      return isCells(value) ? { cells: value.cells.map(() => CELL) } : value;
    case 'link': {
      const link = readLink(value);
      return link?.type === 'page' || link?.type === 'section' ? value : null;
    }
    default:
      return value;
  }
}

/** What a widget says in a site made neutral. */
function neutralContent(widget: WidgetRecord, from: string, to: string): Record<string, Content> {
  const { content: fields, begins } = elementNamed(widget.widget);
  return Object.fromEntries(
    Object.entries(widget.content).map(([name, value]) => {
      const field = fields[name];
      return [name, field ? neutralField(field.type, value, begins[name], from, to) : value];
    }),
  );
}

/** Edits that put neutral pictures in the place of a brand’s own; `file` tells the stored name of a drawing. */
function neutralPictureEdits(site: Site, file: (drawing: string) => string): Edit[] {
  const drawings = neutralPictures();
  const pictures = [...site.kinds.asset.values()].filter(it => !isFileType(it.mime));
  return pictures.flatMap((asset, i): Edit[] => {
    const drawing = drawings[i % drawings.length];
    if (!drawing) return [];
    const edit = editOf(asset);
    return [
      edit.set('file', file(drawing.name)),
      edit.set('mime', 'image/webp'),
      edit.set('width', DRAWING_WIDTH),
      edit.set('height', DRAWING_HEIGHT),
      edit.set('name', drawing.name),
      edit.set('alt', ''),
      ...(asset.focus ? [edit.unset('focus')] : []),
    ];
  });
}

/**
 * A finished site as the beginning of another one: its pages, their order and their looks, in another guide where one is
 * given; called by the new name, and with what widgets say at first in the place of its words. Pictures become neutral
 * ones whose stored names `file` tells; left out, they stay.
 */
export function neutralSite(
  site: Site,
  name: string,
  guide: GuideData | null,
  file?: (drawing: string) => string,
): Site {
  const settings = settingsOf(site);
  const lay = (on: Site, edits: readonly Edit[]): Site =>
    must(applyChange(on, { edits }, LIMITS.computedChange)).site;
  const worded = lay(site, [
    ...(['address', 'tabIcon', 'logo', 'darkLogo'] as const).flatMap(it =>
      settings[it] === undefined ? [] : [editOf(settings).unset(it)],
    ),
    editOf(settings).set('name', name),
    // What is noted of one brand is not of another.
    ...[...site.kinds.note.keys()].map(id => removeRecord(id)),
    ...[...site.kinds.widget.values()].flatMap((widget): Edit[] =>
      Object.entries(neutralContent(widget, settings.name, name)).flatMap(([field, value]) =>
        value === widget.content[field] ? [] : [editOf(widget).setIn('content', field, value)],
      ),
    ),
    ...[...site.kinds.page.values()].flatMap((page): Edit[] => [
      ...(page.description === '' ? [] : [editOf(page).set('description', '')]),
      ...(page.title.includes(settings.name)
        ? [editOf(page).set('title', inName(page.title, settings.name, name))]
        : []),
    ]),
  ]);
  const pictured = file ? lay(worded, neutralPictureEdits(worded, file)) : worded;
  return guide ? lay(pictured, takeGuide(pictured, planGuide(pictured, guide, null))) : pictured;
}
