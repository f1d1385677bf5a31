import { isId } from '../../values/index.ts';
import { BadField } from '../fields.ts';
import { isOrderKey } from '../order.ts';
import type { Id } from '../records.ts';
import { NOTHING } from './effects.ts';
import type { InGuide, RecordKind } from './recordKind.ts';

export const NOTE_STATUSES = ['open', 'done'] as const;
export type NoteStatus = (typeof NOTE_STATUSES)[number];

/** Words that go with a guide: the brief, the tone, what not to do. */
export interface NoteRecord {
  id: Id;
  kind: 'note';
  name: string;
  order: string;
  text: string;
  /** Pictures pinned to it: their ids, each with its order key. */
  pictures?: Readonly<Record<Id, string>>;
  /** Of something that is still to come: whether it is there by now. Left out where nothing is waited for. */
  status?: NoteStatus;
}

export const note: RecordKind<NoteRecord, InGuide<NoteRecord>> = {
  label: 'note',
  read: (id, f) => ({
    id,
    kind: 'note',
    name: f.text('name', 80),
    order: f.order('order'),
    text: f.text('text', 20_000),
    ...f.maybe('pictures', (it, name) =>
      it.map(name, (key, order, path): string => {
        if (!isId(key)) throw new BadField(path, key, 'the id of a picture');
        if (typeof order !== 'string' || !isOrderKey(order)) throw new BadField(path, order, 'an order key');
        return order;
      }),
    ),
    ...f.maybe('status', (it, name) => it.oneOf(name, NOTE_STATUSES)),
  }),
  references: record =>
    Object.keys(record.pictures ?? {}).map(to => ({ path: `pictures.${to}`, to, kinds: ['asset'] }) as const),
  rightToPut: () => 'guide',
  rights: { name: 'guide', order: 'guide', text: 'guide', pictures: 'guide', status: 'content' },
  guide: {
    owned: true,
    key: record => `note ${record.name.toLowerCase()}`,
    foundation: () => 'Icons, marks and notes',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      ...(record.pictures && {
        pictures: Object.fromEntries(
          Object.entries(record.pictures).map(([picture, order]) => [rename(picture), order]),
        ),
      }),
    }),
  },
  name: record => record.name,
  location: () => null,
  effects: () => NOTHING,
};
