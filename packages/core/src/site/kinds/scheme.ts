import { REASONS, type Reason } from '../../roles/index.ts';
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
  /** The swatch of what can be clicked that it was asked for. */
  action?: Id;
  /** What headings are to take. */
  headings?: HeadingChoice;
  /** Roles that were worked out, and why they are bound as they are; one that is bound otherwise by hand is not among them. */
  solved?: Readonly<Record<string, Reason>>;
  /** Roles that stay as they are when it is worked out again. */
  pinned?: Readonly<Record<string, true>>;
  /** The scheme of the other face that goes with it; each names the other. */
  counterpart?: Id;
}

const renamedKeys = <T>(map: Readonly<Record<string, T>>, rename: (id: Id) => Id): Record<string, T> =>
  Object.fromEntries(Object.entries(map).map(([name, it]) => [rename(name), it]));

/** Headings in a colour of the brand, or in a neutral darker than text. */
export const HEADING_CHOICES = ['identity', 'neutral'] as const;
export type HeadingChoice = (typeof HEADING_CHOICES)[number];

const roleKey = (key: string, path: string): void => {
  if (!isId(key)) throw new BadField(path, key, 'a role');
};
const isReason = (it: unknown): it is Reason => REASONS.some(reason => reason === it);

export const scheme: RecordKind<SchemeRecord, InGuide<SchemeRecord>> = {
  label: 'scheme',
  read: (id, f) => ({
    id,
    kind: 'scheme',
    name: f.text('name', 80),
    face: f.oneOf('face', ['light', 'dark']),
    order: f.order('order'),
    roles: f.map('roles', (key, it, path) => {
      roleKey(key, path);
      const read = value(it, path);
      if (read.type !== 'token') throw new BadField(path, read.type, 'a swatch');
      return read;
    }),
    ...f.maybe('action', (it, name) => it.id(name)),
    ...f.maybe('headings', (it, name) => it.oneOf(name, HEADING_CHOICES)),
    ...f.maybeMap('solved', (key, it, path): Reason => {
      roleKey(key, path);
      if (!isReason(it)) throw new BadField(path, it, `one of ${REASONS.join(', ')}`);
      return it;
    }),
    ...f.maybeMap('pinned', (key, it, path): true => {
      roleKey(key, path);
      if (it !== true) throw new BadField(path, it, 'true');
      return it;
    }),
    ...f.maybe('counterpart', (it, name) => it.id(name)),
    ...note(f),
  }),
  references: record => [
    ...Object.entries(record.roles).flatMap(([name, bound]) => [
      ...roleReference(`roles.${name}`, name),
      ...inValue(`roles.${name}`, bound, ['color']),
    ]),
    ...(record.action === undefined
      ? []
      : [{ path: 'action', to: record.action, kinds: ['token'], types: ['color'] } as const]),
    ...(record.counterpart === undefined
      ? []
      : [{ path: 'counterpart', to: record.counterpart, kinds: ['scheme'] } as const]),
  ],
  rightToPut: () => 'guide',
  rights: {
    name: 'guide',
    face: 'guide',
    order: 'guide',
    roles: 'guide',
    action: 'guide',
    headings: 'guide',
    solved: 'guide',
    pinned: 'guide',
    counterpart: 'guide',
    note: 'guide',
  },
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
      ...(record.action !== undefined && { action: rename(record.action) }),
      ...(record.counterpart !== undefined && { counterpart: rename(record.counterpart) }),
      ...(record.solved && { solved: renamedKeys(record.solved, rename) }),
      ...(record.pinned && { pinned: renamedKeys(record.pinned, rename) }),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { scheme: record.id } }),
  effects: (was, is) =>
    was &&
    is &&
    onlyDiffer(was, is, ['name', 'order', 'note', 'action', 'headings', 'solved', 'pinned', 'counterpart'])
      ? NOTHING
      : { rules: is ? 'scheme' : 'all', markup: 'none' },
};
