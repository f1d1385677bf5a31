import type { Styles } from '../../slots/index.ts';
import { placedId, placeKey } from '../place.ts';
import { place } from '../readPlace.ts';
import { declarations, styles } from '../readStyles.ts';
import type { Declaring, Id, Place } from '../records.ts';
import { checkPlacedId } from './checkPlacedId.ts';
import { inPlace, inStyles } from './mentions.ts';
import { placeName } from './placeName.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedPlace, renamedStyles } from './renames.ts';
import { ruleEffects } from './styled.ts';
import { variant } from './variant.ts';

/** A variant set again for a place. */
export interface VariantRuleRecord extends Declaring {
  id: Id;
  kind: 'variantRule';
  variant: Id;
  place: Place;
  styles: Styles;
}

export const variantRule: RecordKind<VariantRuleRecord, InGuide<VariantRuleRecord>> = {
  label: 'rule for a variant',
  read: (id, f) => ({
    id,
    kind: 'variantRule',
    variant: f.id('variant'),
    place: place(f),
    styles: styles(f, () => null),
    ...declarations(f, () => null),
  }),
  references: record => [
    { path: 'variant', to: record.variant, kinds: ['variant'] },
    ...inPlace(record.place),
    ...inStyles(record.styles),
  ],
  rightToPut: () => 'guide',
  rights: { variant: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  check: checkPlacedId,
  guide: {
    owned: false,
    key: () => null,
    foundation: () => 'Elements',
    title: record => record.variant,
    renamed(record, rename) {
      const renamed = {
        ...record,
        variant: rename(record.variant),
        place: renamedPlace(record.place, rename),
        styles: renamedStyles(record.styles, rename),
      };
      return { ...renamed, id: placedId(renamed) };
    },
  },
  name: (record, _, nameOf) => `${nameOf(record.variant)}, ${placeName(record.place, nameOf)}`,
  location(record, site) {
    const of = site.kinds.variant.get(record.variant);
    const there = of && variant.location(of, site);
    return there?.station === 'guide'
      ? { station: 'guide', open: { ...there.open, at: placeKey(record.place) } }
      : null;
  },
  effects: ruleEffects,
};
