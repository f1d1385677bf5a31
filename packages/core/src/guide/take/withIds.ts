import { placeAbout, placedId, placeIsAbout } from '../../site/place.ts';
import type { Id, Place, SiteRecord, Styles } from '../../site/records.ts';
import { type Value, withColors, withTokens } from '../../values/index.ts';

type Rename = (id: Id) => Id;

function inValue(value: Value, rename: Rename): Value {
  if (value.type === 'textStyle') return { type: 'textStyle', style: rename(value.style) };
  if (value.type === 'role') return { type: 'role', role: rename(value.role) };
  const inside = withColors(withTokens(value, rename), color =>
    color.type === 'role' ? inValue(color, rename) : color,
  );
  if (inside.type === 'picture') return { ...inside, asset: rename(inside.asset) };
  return inside.type === 'pattern' ? { ...inside, drawing: rename(inside.drawing) } : inside;
}

const inStyles = (styles: Styles, rename: Rename): Styles =>
  Object.fromEntries(Object.entries(styles).map(([slot, value]) => [slot, inValue(value, rename)]));

function inPlace(place: Place, rename: Rename): Place {
  const about = placeIsAbout(place);
  return about === null ? place : placeAbout(place, rename(about));
}

/** A record of a guide under other ids, its own and those of all it mentions; `rename` leaves alone what it does not know. */
export function withIds(record: SiteRecord, rename: Rename): SiteRecord {
  const id = rename(record.id);
  switch (record.kind) {
    case 'token':
      return { ...record, id, value: inValue(record.value, rename) };
    case 'role':
      return {
        ...record,
        id,
        fallback: rename(record.fallback),
        on: record.on === null ? null : rename(record.on),
      };
    case 'scheme':
      return {
        ...record,
        id,
        roles: Object.fromEntries(
          Object.entries(record.roles).map(([role, value]) => [rename(role), inValue(value, rename)]),
        ),
      };
    case 'textStyle':
    case 'variant':
      return { ...record, id, styles: inStyles(record.styles, rename) };
    case 'default': {
      const place = record.place && inPlace(record.place, rename);
      const moved = { ...record, place, styles: inStyles(record.styles, rename) };
      return { ...moved, id: placedId(moved) };
    }
    case 'variantRule': {
      const moved = {
        ...record,
        variant: rename(record.variant),
        place: inPlace(record.place, rename),
        styles: inStyles(record.styles, rename),
      };
      return { ...moved, id: placedId(moved) };
    }
    case 'preset':
      return {
        ...record,
        id,
        styles: inStyles(record.styles, rename),
        ...(record.includes && {
          includes: Object.fromEntries(
            Object.entries(record.includes).map(([key, it]) => [key, { ...it, preset: rename(it.preset) }]),
          ),
        }),
      };
    case 'drawing':
      return {
        ...record,
        id,
        paths: record.paths.map(path => ({
          ...path,
          fill: path.fill && inValue(path.fill, rename),
          stroke: path.stroke && inValue(path.stroke, rename),
        })),
      };
    case 'note':
      return {
        ...record,
        id,
        ...(record.pictures && {
          pictures: Object.fromEntries(
            Object.entries(record.pictures).map(([picture, order]) => [rename(picture), order]),
          ),
        }),
      };
    case 'font':
    case 'asset':
      return { ...record, id };
    default:
      return record;
  }
}
