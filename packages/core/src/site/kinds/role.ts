import { isId } from '../../values/index.ts';
import type { Id, Noted } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { roleReference } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';

/** A role of the guide's own, beside those that every scheme has. */
export interface RoleRecord extends Noted {
  id: Id;
  kind: 'role';
  name: string;
  order: string;
  /** The role it is taken from where a scheme does not bind it. */
  fallback: string;
  /** The role it has to be read or seen on; null where it is a ground itself. */
  on: string | null;
}

export const role: RecordKind<RoleRecord, InGuide<RoleRecord>> = {
  label: 'role',
  read: (id, f) => ({
    id,
    kind: 'role',
    name: f.text('name', 80),
    order: f.order('order'),
    // The name of a role that every scheme has, or the id of one of the guide's own.
    fallback: f.read('fallback', 'a role', it => (isId(it) ? it : null)),
    on: f.read('on', 'null, or a role', it => (it === null ? { it } : isId(it) ? { it } : null)).it,
    ...note(f),
  }),
  references: record => [
    ...roleReference('fallback', record.fallback),
    ...(record.on === null ? [] : roleReference('on', record.on)),
  ],
  rightToPut: () => 'guide',
  rights: { name: 'guide', order: 'guide', fallback: 'guide', on: 'guide', note: 'guide' },
  check: (record, before, { falling }) => falling.check(record.id, before === undefined),
  guide: {
    owned: false,
    key: record => `role ${record.id}`,
    foundation: () => 'Schemes',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      fallback: rename(record.fallback),
      on: record.on === null ? null : rename(record.on),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { role: record.id } }),
  effects: (was, is) =>
    was && is && onlyDiffer(was, is, ['name', 'order', 'on', 'note'])
      ? NOTHING
      : { rules: 'all', markup: 'none' },
};
