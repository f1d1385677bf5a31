import { isId, type Value } from '../../values/index.ts';
import { BadField } from '../fields.ts';
import { value } from '../readStyles.ts';
import type { Id, Noted } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inValue, roleReference } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedValue } from './renames.ts';

export interface SchemeRecord extends Noted {
  id: Id;
  kind: 'scheme';
  name: string;
  face: 'light' | 'dark';
  order: string;
  /** Each role refers to a swatch. */
  roles: Readonly<Record<string, Value>>;
}

export const scheme: RecordKind<SchemeRecord, InGuide<SchemeRecord>> = {
  label: 'scheme',
  read: (id, f) => ({
    id,
    kind: 'scheme',
    name: f.text('name', 80),
    face: f.oneOf('face', ['light', 'dark']),
    order: f.order('order'),
    roles: f.map('roles', (key, it, path) => {
      const read = value(it, path);
      if (!isId(key)) throw new BadField(path, key, 'a role');
      if (read.type !== 'token') throw new BadField(path, read.type, 'a swatch');
      return read;
    }),
    ...note(f),
  }),
  references: record =>
    Object.entries(record.roles).flatMap(([name, bound]) => [
      ...roleReference(`roles.${name}`, name),
      ...inValue(`roles.${name}`, bound, ['color']),
    ]),
  rightToPut: () => 'guide',
  rights: { name: 'guide', face: 'guide', order: 'guide', roles: 'guide', note: 'guide' },
  guide: {
    owned: false,
    // Schemes are matched by their order.
    key: () => null,
    foundation: () => 'Schemes',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      roles: Object.fromEntries(
        Object.entries(record.roles).map(([name, bound]) => [rename(name), renamedValue(bound, rename)]),
      ),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { scheme: record.id } }),
  effects: (was, is) =>
    was && is && onlyDiffer(was, is, ['name', 'order', 'note'])
      ? NOTHING
      : { rules: is ? 'scheme' : 'all', markup: 'none' },
};
