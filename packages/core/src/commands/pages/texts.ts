import { isRichText } from '../../content/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  childrenOf,
  type Edit,
  editOf,
  getRecord,
  type Id,
  newId,
  nodesUnder,
  putRecord,
  removeRecord,
  type Site,
  type WidgetRecord,
} from '../../site/index.ts';
import { parseSlot } from '../../slots/index.ts';
import { elementNamed, partOf } from '../../widgets/index.ts';
import { addWidget, type Made, placesAt } from './structure.ts';

/** The field of a widget between whose paragraphs other things can be put. */
const partedField = (widget: WidgetRecord): string | undefined =>
  Object.entries(elementNamed(widget.widget).content).find(
    ([, field]) => field.type === 'rich' && field.parts,
  )?.[0];

/** Without the variants that only dress its beginning, such as a first letter: what is parted from it begins nothing. */
const variantsWithin = (site: Site, { widget, variants }: WidgetRecord): WidgetRecord['variants'] =>
  Object.fromEntries(
    Object.entries(variants).filter(([, id]) => {
      const slots = Object.keys(site.kinds.variant.get(id)?.styles ?? {});
      const parts = slots.map(slot => partOf(elementNamed(widget), parseSlot(slot)?.part ?? ''));
      return parts.length === 0 || parts.some(part => !part?.onFirst);
    }),
  );

/**
 * Puts a new widget between the paragraphs of a text, before the one of number `before`. What comes after it becomes a text of
 * its own, which looks like the first.
 */
export function addWithin(site: Site, id: Id, before: number, widget: string): Result<Made> {
  const text = site.kinds.widget.get(id);
  const field = text && partedField(text);
  const words = field === undefined ? undefined : text?.content[field];
  if (!text || field === undefined || !isRichText(words))
    return fail({ code: 'gone', message: 'That text is no longer there.', record: id });
  const { parent } = text.at;
  const index = nodesUnder(site, parent).indexOf(id);
  const [above, below] = [words.slice(0, before), words.slice(before)];
  if (above.length === 0) return ok(addWidget(site, parent, index, widget));
  if (below.length === 0) return ok(addWidget(site, parent, index + 1, widget));
  const { orders, rekeyed } = placesAt(site, parent, index + 1, [], 2);
  const made = addWidget(site, parent, index + 1, widget);
  const at = (order: string | undefined) => ({ parent, order: order ?? 'V' });
  return ok({
    id: made.id,
    edits: [
      ...rekeyed,
      editOf(text).setIn('content', field, above),
      ...made.edits.flatMap((edit): Edit[] => {
        // Room has been made for two.
        if (edit.op !== 'put') return [];
        const { record } = edit;
        return record.kind === 'widget' && record.id === made.id
          ? [putRecord({ ...record, at: at(orders[0]) })]
          : [edit];
      }),
      putRecord({
        ...text,
        id: newId('w'),
        at: at(orders[1]),
        variants: variantsWithin(site, text),
        content: { ...text.content, [field]: below },
      }),
    ],
  });
}

/** Makes one text of several that stand right below each other: the first, with the words of all. */
export function joinTexts(site: Site, ids: readonly Id[]): Result<Made> {
  const nope = fail({
    code: 'bad-join',
    message: 'Texts that stand right below each other can be made one.',
    ...(ids[0] !== undefined && { record: ids[0] }),
  });
  const first = getRecord(site, ids[0] ?? '');
  if (first?.kind !== 'widget') return nope;
  const siblings = childrenOf(site, first.at.parent);
  const joined = new Set(ids);
  const texts = siblings.filter(id => joined.has(id)).map(id => site.kinds.widget.get(id));
  const [top] = texts;
  const field = top && partedField(top);
  if (!top || field === undefined || texts.length !== joined.size || texts.length < 2) return nope;
  const start = siblings.indexOf(top.id);
  if (texts.some((it, i) => it?.widget !== top.widget || siblings[start + i] !== it.id)) return nope;
  const words = texts.flatMap(it => {
    const value = it?.content[field];
    return isRichText(value) ? value : [];
  });
  return ok({
    id: top.id,
    edits: [
      editOf(top).setIn('content', field, words),
      ...texts.slice(1).flatMap((it): Edit[] => (it ? [removeRecord(it.id)] : [])),
    ],
  });
}
