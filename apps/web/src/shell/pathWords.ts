import { type Edit, parseSlot, propertyOf } from '@cove/core';

type Path = (Edit & { op: 'set' })['path'];

const FIELDS: Readonly<Record<string, string>> = {
  content: 'words',
  value: 'value',
  name: 'name',
  title: 'title',
  path: 'address',
  description: 'description',
  at: 'place',
  scheme: 'scheme',
  roles: 'role',
  variants: 'variant',
  wears: 'presets',
  rebind: 'rebinding',
  alt: 'description',
};

/** What a path is called where it is spoken of. */
export function pathWords([field, key]: Path): string {
  const slot = key !== undefined && field === 'styles' ? parseSlot(key) : null;
  if (!slot) return FIELDS[field] ?? field;
  const property =
    slot.property === 'textStyle' ? 'text style' : propertyOf(slot.property).label.toLowerCase();
  return [property, slot.state === 'rest' ? '' : slot.state, slot.width === 'wide' ? '' : `at ${slot.width}`]
    .filter(Boolean)
    .join(' ');
}
