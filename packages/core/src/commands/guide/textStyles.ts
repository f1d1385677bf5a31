import { namesTaken, uniqueName } from '../../lists/index.ts';
import { mentionsOf } from '../../reach/mentions.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editAt,
  type Id,
  newId,
  putRecord,
  removeRecord,
  type Site,
  type StyledKind,
  type TextStyleRecord,
} from '../../site/index.ts';
import { keyAtEnd, placeBehind, reorder } from '../order/order.ts';

const gone = (id: Id) => fail({ code: 'gone', message: 'That text style is no longer there.', record: id });

const nameFor = (site: Site, wanted: string): string =>
  uniqueName(wanted.trim() || 'Text style', namesTaken(site.kinds.textStyle.values()));

/** A text style that leaves everything as it is around it, last in the list. */
export function addTextStyle(site: Site, name: string): { edits: Edit[]; id: Id } {
  const all = [...site.kinds.textStyle.values()];
  const record: TextStyleRecord = {
    id: newId('y'),
    kind: 'textStyle',
    name: nameFor(site, name),
    order: keyAtEnd(all),
    styles: {},
  };
  return { id: record.id, edits: [putRecord(record)] };
}

/** A copy right behind the text style; nothing wears it yet. */
export function duplicateTextStyle(site: Site, id: Id): Result<{ edits: Edit[]; id: Id }> {
  const style = site.kinds.textStyle.get(id);
  if (!style) return gone(id);
  const { order, rekeyed } = placeBehind(site.kinds.textStyle.values(), style);
  const record: TextStyleRecord = {
    ...style,
    id: newId('y'),
    name: nameFor(site, style.name),
    order,
  };
  return ok({ id: record.id, edits: [...rekeyed, putRecord(record)] });
}

/** Moves a text style to place `index` of the list. */
export function moveTextStyle(site: Site, id: Id, index: number): Edit[] {
  const style = site.kinds.textStyle.get(id);
  return style ? reorder(site.kinds.textStyle.values(), style, index) : [];
}

/** Takes a text style away; what wears it wears the other one, or follows what is around it where `by` is null. */
export function removeTextStyle(site: Site, id: Id, by: Id | null): Result<Edit[]> {
  if (!site.kinds.textStyle.has(id)) return gone(id);
  if (by !== null && (by === id || !site.kinds.textStyle.has(by)))
    return fail({ code: 'gone', message: 'The replacement is no longer there.', record: by });
  const edits = mentionsOf(site, id).map(({ from, path }): Edit => {
    const slot = path.slice(path.indexOf('.') + 1);
    return by === null
      ? editAt<StyledKind>(from).unsetIn('styles', slot)
      : editAt<StyledKind>(from).setIn('styles', slot, { type: 'textStyle', style: by });
  });
  return ok([...edits, removeRecord(id)]);
}
