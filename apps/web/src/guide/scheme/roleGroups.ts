import type { Role } from '@cove/core';

const BASE = new Set([
  'surface',
  'raised',
  'heading',
  'text',
  'muted',
  'link',
  'linkHover',
  'currentLink',
  'line',
  'accent',
]);

/** Roles in the groups in which they are looked for. */
export function roleGroups(roles: readonly Role[]): (readonly [string, readonly Role[]])[] {
  const of = (test: (name: string) => boolean) => roles.filter(it => test(it.name));
  const buttons = /^(main|second|quiet)(Fill|Label|Line)/;
  const statuses = /^(success|warning|danger|info)(Ground|Text|Line)$/;
  const fields = new Set(['placeholder', 'fieldSurface', 'fieldLine', 'focus', 'selection']);
  const isOwn = (name: string) =>
    !BASE.has(name) && !buttons.test(name) && !statuses.test(name) && !fields.has(name);
  return [
    ['Surfaces, text and links', of(name => BASE.has(name))],
    ['Buttons', of(name => buttons.test(name))],
    ['Fields and focus', of(name => fields.has(name))],
    ['Statuses', of(name => statuses.test(name))],
    ['Custom', of(isOwn)],
  ];
}
