import { roleValue } from '../cascade/index.ts';
import { type Color, contrast, type Gamut, luminance, ratioOf } from '../color/index.ts';
import { type Role, roleIn, rolesOf } from '../guide/index.ts';
import { byOrder, type Id, type Site, settingsOf } from '../site/index.ts';
import { literalOf, NO_REBINDS } from '../tokens/index.ts';

/** A role of a scheme on one of the grounds it can stand on. */
export interface RoleContrast {
  scheme: Id;
  role: string;
  on: string;
  ratio: number;
  /** The least that is asked for. */
  wanted: number;
}

/** What a role shows in a scheme, references followed; null where it is bound to nothing. */
export function roleColor(site: Site, scheme: Id, role: string): Color | null {
  const bound = roleValue(site, scheme, role);
  const end = bound && literalOf(site.kinds.token, NO_REBINDS, bound.value);
  return end?.type === 'color' ? end.value : null;
}

/** The screens that a site is printed for: with wide colours, what is read has to be read on both. */
export const gamutsOf = (site: Site): readonly Gamut[] =>
  settingsOf(site).wideColors ? ['srgb', 'display-p3'] : ['srgb'];

/** Relative luminance of colours as they are painted; a colour keeps it for good. */
const levels: Readonly<Record<Gamut, WeakMap<Color, number>>> = {
  srgb: new WeakMap(),
  'display-p3': new WeakMap(),
};
function levelOf(color: Color, gamut: Gamut): number {
  let level = levels[gamut].get(color);
  if (level === undefined) {
    level = luminance(color, gamut);
    levels[gamut].set(color, level);
  }
  return level;
}

/** The least contrast of two colours on any screen that a site is printed for, as they are painted there. */
export function siteContrast(site: Site, text: Color, ground: Color): number {
  let least = Number.POSITIVE_INFINITY;
  for (const gamut of gamutsOf(site)) {
    const ratio =
      text.alpha < 1 ? contrast(text, ground, gamut) : ratioOf(levelOf(text, gamut), levelOf(ground, gamut));
    least = Math.min(least, ratio);
  }
  return least;
}

/** Contrast of one role on every ground it can stand on; `shown` says what each role shows. */
function pairsOf(site: Site, scheme: Id, role: Role, shown: (role: string) => Color | null): RoleContrast[] {
  const color = role.on.length > 0 ? shown(role.name) : null;
  if (!color) return [];
  return role.on.flatMap(({ ground, ratio: wanted }): RoleContrast[] => {
    const below = shown(ground);
    return below
      ? [{ scheme, role: role.name, on: ground, ratio: siteContrast(site, color, below), wanted }]
      : [];
  });
}

/** Contrast of one role on every ground it can stand on. */
export function roleContrasts(site: Site, scheme: Id, name: string): RoleContrast[] {
  const role = roleIn(site, name);
  return role ? pairsOf(site, scheme, role, it => roleColor(site, scheme, it)) : [];
}

/** Contrast of every role of a scheme that has to be read or seen, on every ground it can stand on. */
export function schemeContrasts(site: Site, scheme: Id): RoleContrast[] {
  const known = new Map<string, Color | null>();
  const shown = (role: string): Color | null => {
    let color = known.get(role);
    if (color === undefined) {
      color = roleColor(site, scheme, role);
      known.set(role, color);
    }
    return color;
  };
  return rolesOf(site).flatMap(role => pairsOf(site, scheme, role, shown));
}

export const isFailure = ({ ratio, wanted }: RoleContrast): boolean => ratio < wanted;

/** Of the pairs of one role, the one that is nearest to failing or furthest below what is asked. */
export const tightest = (pairs: readonly RoleContrast[]): RoleContrast | undefined =>
  pairs.reduce<RoleContrast | undefined>(
    (least, it) => (!least || it.ratio / it.wanted < least.ratio / least.wanted ? it : least),
    undefined,
  );

export const schemeFailures = (site: Site): RoleContrast[] =>
  [...site.kinds.scheme.values()]
    .sort(byOrder)
    .flatMap(({ id }) => schemeContrasts(site, id).filter(isFailure));

/** Failures of the later site that the earlier one does not have. */
export function newFailures(before: Site, after: Site): RoleContrast[] {
  const key = ({ scheme, role, on }: RoleContrast) => `${scheme} ${role} ${on}`;
  const old = new Set(schemeFailures(before).map(key));
  return schemeFailures(after).filter(it => !old.has(key(it)));
}
