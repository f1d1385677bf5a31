import { namesTaken, uniqueName } from '../../lists/index.ts';
import {
  type Edit,
  editOf,
  type Id,
  type NoteRecord,
  newId,
  putRecord,
  type Site,
} from '../../site/index.ts';
import { keyAtEnd } from '../order/order.ts';

/** An empty note, last in the list. */
export function addNote(site: Site, name: string): { edits: Edit[]; id: Id } {
  const record: NoteRecord = {
    id: newId('n'),
    kind: 'note',
    name: uniqueName(name, namesTaken(site.kinds.note.values())),
    order: keyAtEnd(site.kinds.note.values()),
    text: '',
  };
  return { id: record.id, edits: [putRecord(record)] };
}

/** Says of a note whether it waits for something that is still to come, and whether that is there. */
export const setNoteStatus = (
  note: Pick<NoteRecord, 'kind' | 'id'>,
  status: NoteRecord['status'] | null,
): Edit[] => [editOf(note).put('status', status ?? null)];

/** Pins a picture to a note, behind those that are pinned already; nothing where it is one of them. */
export function pinPicture(note: NoteRecord, picture: Id): Edit[] {
  const pinned = note.pictures ?? {};
  if (Object.hasOwn(pinned, picture)) return [];
  const order = keyAtEnd(Object.values(pinned).map(it => ({ order: it })));
  return [editOf(note).setIn('pictures', picture, order)];
}

/** Takes a picture off a note. */
export function unpinPicture(note: NoteRecord, picture: Id): Edit[] {
  const pinned = note.pictures ?? {};
  if (!Object.hasOwn(pinned, picture)) return [];
  const edit = editOf(note);
  return [Object.keys(pinned).length > 1 ? edit.unsetIn('pictures', picture) : edit.unset('pictures')];
}

/** Sets what is noted on something of the guide, or takes it away where that is empty. */
export const setNote = (
  record: { readonly kind: 'preset' | 'textStyle' | 'scheme' | 'variant' | 'token'; readonly id: Id },
  note: string,
): Edit[] => [editOf(record).put('note', note === '' ? null : note)];
