import { inOneLine, isRichText, plainOf, type RichText } from '../../content/index.ts';
import { LIMITS } from '../../limits/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editOf,
  type Id,
  newIds,
  nodesUnder,
  putRecord,
  removeRecord,
  type Site,
  type WidgetRecord,
} from '../../site/index.ts';
import { type ElementType, elementNamed, isItem } from '../../widgets/index.ts';
import { beginningOf, type Made, moveNode, placesAt } from './structure.ts';

/** The field that an item is written in: its first words. */
export const wordsField = ({ content }: ElementType): string | undefined =>
  Object.entries(content).find(([, { type }]) => type === 'plain' || type === 'rich')?.[0];

const gone = (id: Id) => fail({ code: 'gone', message: 'That entry is no longer there.', record: id });

/** Words as the field of an entry holds them. */
const inField = (entry: WidgetRecord, field: string, words: RichText): RichText | string =>
  elementNamed(entry.widget).content[field]?.type === 'rich' ? words : plainOf(words).replace(/\s+/g, ' ');

/**
 * Goes on writing behind an entry: it keeps some words, and each of the others is a new entry of its kind and looks, right
 * below it. Answers the last one.
 */
export function continueEntry(
  site: Site,
  id: Id,
  keeps: RichText,
  others: readonly RichText[],
): Result<Made> {
  const entry = site.kinds.widget.get(id);
  const element = entry && elementNamed(entry.widget);
  const field = element && wordsField(element);
  if (!entry || !isItem(element ?? elementNamed('text')) || field === undefined) return gone(id);
  if (others.length > LIMITS.change.edits / 2)
    return fail({
      code: 'too-much',
      message: 'These are too many entries at once. Add them in parts.',
      expected: `at most ${LIMITS.change.edits / 2} entries`,
    });
  const { parent } = entry.at;
  const index = nodesUnder(site, parent).indexOf(id);
  const { orders, rekeyed } = placesAt(site, parent, index + 1, [], others.length);
  const ids = newIds('w', others.length);
  const { variants, wears } = beginningOf(site, entry.widget);
  const words = inField(entry, field, keeps);
  const before = entry.content[field];
  return ok({
    id: ids.at(-1) ?? id,
    edits: [
      ...rekeyed,
      ...(JSON.stringify(before) === JSON.stringify(words)
        ? []
        : [editOf(entry).setIn('content', field, words)]),
      ...others.map(
        (it, i): Edit =>
          putRecord({
            ...entry,
            id: ids[i] ?? id,
            at: { parent, order: orders[i] ?? 'V' },
            content: { ...elementNamed(entry.widget).begins, [field]: inField(entry, field, it) },
            variants: { ...variants, ...entry.variants },
            wears,
            styles: {},
          }),
      ),
    ],
  });
}

/**
 * Takes an entry away and adds its words to the one before it, which is answered; what stood below it goes there too. Nothing
 * where there is none before.
 */
export function joinEntry(site: Site, id: Id): Result<Made> {
  const entry = site.kinds.widget.get(id);
  if (!entry) return gone(id);
  const siblings = nodesUnder(site, entry.at.parent);
  const before = site.kinds.widget.get(siblings[siblings.indexOf(id) - 1] ?? '');
  const field = wordsField(elementNamed(entry.widget));
  if (before?.widget !== entry.widget || field === undefined)
    return fail({ code: 'nowhere', message: 'There is no entry before this one.', record: id });
  const [first, second] = [before.content[field] ?? '', entry.content[field] ?? ''];
  const words =
    isRichText(first) && isRichText(second)
      ? inOneLine(first, second)
      : [first, second].filter(it => it !== '').join(' ');
  const there = nodesUnder(site, before.id).length;
  const moved: Edit[] = [];
  const below = nodesUnder(site, id);
  const { orders, rekeyed } = placesAt(site, before.id, there, [], below.length);
  for (const [i, child] of below.entries()) {
    const node = site.kinds.widget.get(child);
    if (node) moved.push(editOf(node).set('at', { parent: before.id, order: orders[i] ?? 'V' }));
  }
  return ok({
    id: before.id,
    edits: [...rekeyed, ...moved, editOf(before).setIn('content', field, words), removeRecord(id)],
  });
}

/** Puts an entry below the one before it, or beside the one that it stands below. */
export function shiftEntry(site: Site, id: Id, way: 'in' | 'out'): Result<Edit[]> {
  const entry = site.kinds.widget.get(id);
  if (!entry) return gone(id);
  const siblings = nodesUnder(site, entry.at.parent);
  if (way === 'in') {
    const before = siblings[siblings.indexOf(id) - 1];
    return before === undefined
      ? fail({ code: 'nowhere', message: 'There is no entry above it to stand below.', record: id })
      : moveNode(site, id, before, nodesUnder(site, before).length);
  }
  const around = site.kinds.widget.get(entry.at.parent);
  if (!around || around.widget !== entry.widget)
    return fail({ code: 'nowhere', message: 'It stands below no other entry.', record: id });
  return moveNode(site, id, around.at.parent, nodesUnder(site, around.at.parent).indexOf(around.id) + 1);
}
