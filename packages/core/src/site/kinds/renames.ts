import type { Styles } from '../../slots/index.ts';
import { type Value, withColors, withTokens } from '../../values/index.ts';
import { placeAbout, placeIsAbout } from '../place.ts';
import type { Place } from '../records.ts';
import type { Rename } from './recordKind.ts';

/** Parts of records under other ids. */
export function renamedValue(value: Value, rename: Rename): Value {
  if (value.type === 'textStyle') return { type: 'textStyle', style: rename(value.style) };
  if (value.type === 'role') return { type: 'role', role: rename(value.role) };
  const inside = withColors(withTokens(value, rename), color =>
    color.type === 'role' ? renamedValue(color, rename) : color,
  );
  if (inside.type === 'picture') return { ...inside, asset: rename(inside.asset) };
  return inside.type === 'pattern' ? { ...inside, drawing: rename(inside.drawing) } : inside;
}

export const renamedStyles = (styles: Styles, rename: Rename): Styles =>
  Object.fromEntries(Object.entries(styles).map(([slot, value]) => [slot, renamedValue(value, rename)]));

export function renamedPlace(place: Place, rename: Rename): Place {
  const about = placeIsAbout(place);
  return about === null ? place : placeAbout(place, rename(about));
}
