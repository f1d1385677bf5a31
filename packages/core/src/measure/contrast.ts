import { roleValue } from '../cascade/index.ts';
import { type Color, contrast } from '../color/index.ts';
import { type Role, rolesOf } from '../guide/index.ts';
import { byOrder, type Id, type Site } from '../site/index.ts';
import { literalOf, NO_REBINDS } from '../tokens/index.ts';

/** WCAG 2.2, 1.4.3: text of usual size; 1.4.11: what has to be seen to use a control, and large text (1.4.3). */
export const TEXT_RATIO = 4.5;
export const SIGN_RATIO = 3;

/** A role of a scheme on what it stands on. */
export interface RoleContrast {
  scheme: Id;
  role: string;
  on: string;
  ratio: number;
  /** The least that is asked for. */
  wanted: number;
}
export type Failure = RoleContrast;

/** What a role shows in a scheme, references followed; null where it is bound to nothing. */
export function roleColor(site: Site, scheme: Id, role: string): Color | null {
  const bound = roleValue(site, scheme, role);
  const end = bound && literalOf(site.kinds.token, NO_REBINDS, bound.value);
  return end?.type === 'color' ? end.value : null;
}

/** Lines between things tell no more than they look; lines of fields and rings of focus do (WCAG 2.2, 1.4.11). */
const DECORATION = new Set(['line', 'accent', 'mainLine', 'quietLine']);
const isDecoration = (name: string) =>
  DECORATION.has(name) || /^(main|quiet)Line/.test(name) || name === 'quietFill';

/** The least contrast a role has to have on what it stands on; null where none is asked for. */
export function wantedOf({ name, on }: Role): number | null {
  if (on === null || isDecoration(name)) return null;
  return /Line|focus/.test(name) ? SIGN_RATIO : TEXT_RATIO;
}

/** Contrast of every role of a scheme that has to be read or seen. */
export function schemeContrasts(site: Site, scheme: Id): RoleContrast[] {
  return rolesOf(site).flatMap((role): RoleContrast[] => {
    const wanted = wantedOf(role);
    if (wanted === null || role.on === null) return [];
    const color = roleColor(site, scheme, role.name);
    const ground = roleColor(site, scheme, role.on);
    return color && ground
      ? [{ scheme, role: role.name, on: role.on, ratio: contrast(color, ground), wanted }]
      : [];
  });
}

/** Compared as it is shown, with one decimal less than could mislead: 4.498 does not pass as 4.5. */
export const isFailure = ({ ratio, wanted }: RoleContrast): boolean => ratio < wanted;

export const schemeFailures = (site: Site): Failure[] =>
  [...site.kinds.scheme.values()]
    .sort(byOrder)
    .flatMap(({ id }) => schemeContrasts(site, id).filter(isFailure));

/** Failures of the later site that the earlier one does not have. */
export function newFailures(before: Site, after: Site): Failure[] {
  const key = ({ scheme, role }: Failure) => `${scheme} ${role}`;
  const old = new Set(schemeFailures(before).map(key));
  return schemeFailures(after).filter(it => !old.has(key(it)));
}
