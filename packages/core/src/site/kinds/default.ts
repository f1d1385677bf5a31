import type { Styles } from '../../slots/index.ts';
import { isObject } from '../fields.ts';
import { placedId, placeKey } from '../place.ts';
import { place } from '../readPlace.ts';
import { declarations, onElement, styles } from '../readStyles.ts';
import type { Declaring, Id, Place } from '../records.ts';
import { checkPlacedId } from './checkPlacedId.ts';
import { inPlace, inStyles } from './mentions.ts';
import { placeName } from './placeName.ts';
import { element } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedPlace, renamedStyles } from './renames.ts';
import { ruleEffects } from './styled.ts';

export interface DefaultRecord extends Declaring {
  id: Id;
  kind: 'default';
  element: string;
  /** Null: the whole site. */
  place: Place | null;
  styles: Styles;
}

/** What every element of a sort begins with, everywhere or in a place. */
export const defaultKind: RecordKind<DefaultRecord, InGuide<DefaultRecord>> = {
  label: 'default',
  read(id, f) {
    const type = element(f);
    const placed = f.read('place', 'null, or a place', it => (it === null || isObject(it) ? { it } : null));
    return {
      id,
      kind: 'default',
      element: type.name,
      place: placed.it === null ? null : place(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  references: record => [...inPlace(record.place), ...inStyles(record.styles)],
  rightToPut: () => 'guide',
  rights: { element: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  check: checkPlacedId,
  guide: {
    owned: false,
    key: () => null,
    foundation: () => 'Elements',
    title: record => record.element,
    renamed(record, rename) {
      const renamed = {
        ...record,
        place: record.place && renamedPlace(record.place, rename),
        styles: renamedStyles(record.styles, rename),
      };
      return { ...renamed, id: placedId(renamed) };
    },
  },
  name: (record, _, nameOf) =>
    `default of ${record.element}${record.place ? `, ${placeName(record.place, nameOf)}` : ''}`,
  location: record => ({
    station: 'guide',
    open: { element: record.element, ...(record.place && { at: placeKey(record.place) }) },
  }),
  effects: ruleEffects,
};
