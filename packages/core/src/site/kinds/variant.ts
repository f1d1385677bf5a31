import type { Styles } from '../../slots/index.ts';
import { declarations, onElement, styles } from '../readStyles.ts';
import type { Declaring, Id, Noted } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inStyles } from './mentions.ts';
import { element, note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedStyles } from './renames.ts';
import { ruleEffects } from './styled.ts';

export interface VariantRecord extends Noted, Declaring {
  id: Id;
  kind: 'variant';
  element: string;
  axis: string;
  name: string;
  order: string;
  styles: Styles;
  /** New widgets of its element begin with it. */
  begins?: boolean;
}

/** One of the looks that an element can take along an axis. */
export const variant: RecordKind<VariantRecord, InGuide<VariantRecord>> = {
  label: 'variant',
  read(id, f) {
    const type = element(f);
    return {
      id,
      kind: 'variant',
      element: type.name,
      axis: f.read(
        'axis',
        `one of the axes ${type.axes.join(', ')}`,
        it => type.axes.find(name => name === it) ?? null,
      ),
      name: f.text('name', 80),
      order: f.order('order'),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
      ...note(f),
      ...f.maybe('begins', (it, name) =>
        it.read(name, 'true or false', b => (typeof b === 'boolean' ? b : null)),
      ),
    };
  },
  references: record => inStyles(record.styles),
  rightToPut: () => 'guide',
  rights: {
    element: 'guide',
    axis: 'guide',
    name: 'guide',
    order: 'guide',
    styles: 'guide',
    declarations: 'guide',
    begins: 'guide',
    note: 'guide',
  },
  guide: {
    owned: false,
    key: (record, names) => `variant ${names.variant(record.id)}`,
    foundation: () => 'Elements',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      styles: renamedStyles(record.styles, rename),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { element: record.element, variants: record.id } }),
  effects(was, is) {
    if (was && is && onlyDiffer(was, is, ['name', 'order', 'begins', 'note'])) return NOTHING;
    // What is new or gone is worn by nothing; whatever takes it on or off is drawn for that.
    return was && is ? ruleEffects(was, is) : { rules: 'source', markup: 'none' };
  },
};
