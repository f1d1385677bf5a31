import type { Styles } from '../../slots/index.ts';
import { onTextStyle, styles } from '../readStyles.ts';
import type { Id, Noted } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inStyles } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedStyles } from './renames.ts';

export interface TextStyleRecord extends Noted {
  id: Id;
  kind: 'textStyle';
  name: string;
  order: string;
  /** Slots without part and state: `@width/property`, of type, or of a line above or below. */
  styles: Styles;
}

export const textStyle: RecordKind<TextStyleRecord, InGuide<TextStyleRecord>> = {
  label: 'text style',
  read: (id, f) => ({
    id,
    kind: 'textStyle',
    name: f.text('name', 80),
    order: f.order('order'),
    styles: styles(f, onTextStyle),
    ...note(f),
  }),
  references: record => inStyles(record.styles),
  rightToPut: () => 'guide',
  rights: { name: 'guide', order: 'guide', styles: 'guide', note: 'guide' },
  guide: {
    owned: false,
    key: record => `textStyle ${record.name.toLowerCase()}`,
    foundation: () => 'Text',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      styles: renamedStyles(record.styles, rename),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { style: record.id } }),
  // Whatever names it has rules that were made of it; nothing names one that is new or gone.
  effects: (was, is) =>
    was && is && !onlyDiffer(was, is, ['name', 'order', 'note'])
      ? { rules: 'mentioning', markup: 'none' }
      : NOTHING,
};
