import { PURPOSES, type Purpose } from '../../roles/index.ts';
import type { Id, Noted } from '../records.ts';
import { NOTHING } from './effects.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';

/** What is said of a group of tokens; a group of which nothing is said has no record. */
export interface TokenGroupRecord extends Noted {
  id: Id;
  kind: 'tokenGroup';
  /** As its tokens name it. */
  name: string;
  /** What its swatches are for, where they do not say so themselves. */
  purpose?: Purpose;
  /** The group whose tokens it took over, by its name; token files say so again. */
  extends?: string;
}

export const tokenGroup: RecordKind<TokenGroupRecord, InGuide<TokenGroupRecord>> = {
  label: 'group of tokens',
  read: (id, f) => ({
    id,
    kind: 'tokenGroup',
    name: f.text('name', 80),
    ...f.maybe('purpose', (it, name) => it.oneOf(name, PURPOSES)),
    ...f.maybe('extends', (it, name) => it.text(name, 80)),
    ...note(f),
  }),
  references: () => [],
  rightToPut: () => 'guide',
  rights: { name: 'guide', purpose: 'guide', extends: 'guide', note: 'guide' },
  guide: {
    owned: false,
    key: record => `group ${record.name.toLowerCase()}`,
    foundation: () => 'Colours',
    title: record => record.name,
    renamed: (record, rename) => ({ ...record, id: rename(record.id) }),
  },
  name: record => record.name,
  location: () => null,
  effects: () => NOTHING,
};
