import { literalContext, roleValue } from '../cascade/index.ts';
import type { Gamut } from '../color/index.ts';
import { rolesOf } from '../guide/roles.ts';
import type { Id, Site, SiteRecord } from '../site/index.ts';
import { boundValue, closure, NO_REBINDS, type Rebinds } from '../tokens/index.ts';
import { printCss, tokensIn, type Value } from '../values/index.ts';
import { derivedName, patternName } from './names.ts';
import { type PrintMode, varContext, viewportUnitOf } from './rules.ts';

/** What custom properties are printed for: a page or the specimen's sheet, on screens of a gamut. */
export interface Target {
  mode: PrintMode;
  gamut: Gamut;
}
/** Pages as most screens show them. */
export const PAGES: Target = { mode: 'published', gamut: 'srgb' };

export type Declarations = (readonly [name: string, text: string])[];
/** What no browser could compute where it is written: each has a custom property of its own beside the tokens. */
type Computed = Value & { type: 'derived' | 'pattern' };
type Derived = Value & { type: 'derived' };
type Pattern = Value & { type: 'pattern' };

export const isComputed = (value: Value): value is Computed =>
  value.type === 'derived' || value.type === 'pattern';
const nameOf = (value: Computed): string =>
  value.type === 'derived' ? derivedName(value.derivation) : patternName(value);

const NONE: readonly Computed[] = [];
const byRecord = new WeakMap<SiteRecord, readonly Computed[]>();
const byKind = new WeakMap<ReadonlyMap<Id, SiteRecord>, readonly Computed[]>();

function computedOf(record: SiteRecord): readonly Computed[] {
  if (!('styles' in record)) return NONE;
  let found = byRecord.get(record);
  if (!found) {
    found = Object.values(record.styles).filter(isComputed);
    byRecord.set(record, found.length > 0 ? found : NONE);
  }
  return found;
}

/** Such values in the styles of one kind of record; kept while no record of that kind changes. */
function computedIn(records: ReadonlyMap<Id, SiteRecord>): readonly Computed[] {
  let found = byKind.get(records);
  if (!found) {
    found = [...records.values()].flatMap(computedOf);
    byKind.set(records, found);
  }
  return found;
}

/** Derivations and patterns that are written in slots, each once. */
function slotComputed(site: Site): Computed[] {
  const found = new Map<string, Computed>();
  for (const records of Object.values(site.kinds))
    for (const value of computedIn(records)) found.set(nameOf(value), value);
  return [...found.values()];
}

export const slotDerivations = (site: Site): Derived[] =>
  slotComputed(site).filter(value => value.type === 'derived');
const slotPatterns = (site: Site): Pattern[] => slotComputed(site).filter(value => value.type === 'pattern');
/** A pattern in the ink of a role is another one on each scheme. */
const byScheme = ({ ink }: Pattern): boolean => ink.type === 'role';

/** Tokens that the colours of a pattern name. */
const tokensOfPattern = (site: Site, { ink, drawing }: Pattern): readonly Id[] => [
  ...tokensIn(ink),
  ...(site.kinds.drawing.get(drawing)?.paths ?? []).flatMap(({ fill, stroke }) =>
    [fill, stroke].flatMap(paint => (paint ? tokensIn(paint) : [])),
  ),
];

/** Tokens hold no pictures, so nobody asks where those lie. */
const contextsOf = (site: Site, rebinds: Rebinds, { mode, gamut }: Target, scheme = '') => ({
  references: varContext(site, { mode, assetUrl: ({ file }) => file }, gamut),
  literals: literalContext(site, { scheme, rebinds }, { viewportUnit: viewportUnitOf(mode), gamut }),
});

/**
 * Custom properties of the given tokens under some rebindings. Aliases stay `var()`; what is derived is computed here
 * and printed as a literal, since a browser would compute it where it is declared and not where a rebinding holds.
 */
export function tokenDeclarations(
  site: Site,
  ids: Iterable<Id>,
  rebinds: Rebinds,
  target: Target,
): Declarations {
  const { references, literals } = contextsOf(site, rebinds, target);
  const found: Declarations = [];
  for (const id of ids) {
    const value = boundValue(site.kinds.token, rebinds, id);
    if (value) found.push([`--t-${id}`, printCss(value, value.type === 'derived' ? literals : references)]);
  }
  return found;
}

/** Derivations and patterns that are the same on every scheme; those that some of these tokens have a say in. */
function computedDeclarations(
  site: Site,
  rebinds: Rebinds,
  among: ReadonlySet<Id> | null,
  target: Target,
): Declarations {
  const { literals } = contextsOf(site, rebinds, target);
  const follows = (value: Computed): readonly Id[] =>
    value.type === 'derived' ? value.derivation.from : tokensOfPattern(site, value);
  return slotComputed(site)
    .filter(value => value.type === 'derived' || !byScheme(value))
    .filter(value => !among || follows(value).some(id => among.has(id)))
    .map(value => [
      `--${nameOf(value)}`,
      value.type === 'derived' ? printCss(value, literals) : literals.pattern(value),
    ]);
}

/** All tokens of the guide, for the root of a page. */
export const rootVariables = (site: Site, target: Target): Declarations => [
  ...tokenDeclarations(site, site.kinds.token.keys(), NO_REBINDS, target),
  ...computedDeclarations(site, NO_REBINDS, null, target),
];

/** What alters at the root when these tokens do. */
export function closureVariables(
  site: Site,
  ids: Iterable<Id>,
  rebinds: Rebinds,
  target: Target,
): Declarations {
  const all = closure(site.kinds.token, ids, rebinds);
  return [
    ...tokenDeclarations(site, all, rebinds, target),
    ...computedDeclarations(site, rebinds, all, target),
  ];
}

/** Patterns in the ink of a role, as they are on one scheme under some rebindings. */
export function schemePatterns(
  site: Site,
  scheme: Id,
  gamut: Gamut,
  rebinds: Rebinds = NO_REBINDS,
): Declarations {
  const patterns = slotPatterns(site).filter(byScheme);
  if (patterns.length === 0) return [];
  const { literals } = contextsOf(site, rebinds, { mode: 'published', gamut }, scheme);
  return patterns.map(value => [`--${patternName(value)}`, literals.pattern(value)]);
}

/** The roles of a scheme, fallbacks followed, and the patterns drawn in one of them. */
export function schemeVariables(site: Site, scheme: Id, gamut: Gamut): Declarations {
  const { references } = contextsOf(site, NO_REBINDS, { mode: 'published', gamut });
  const roles = rolesOf(site).flatMap(({ name }) => {
    const bound = roleValue(site, scheme, name);
    return bound ? [[`--r-${name}`, printCss(bound.value, references)] as const] : [];
  });
  return [...roles, ...schemePatterns(site, scheme, gamut)];
}

/** A rebinding at one page or section: the tokens themselves and everything downstream of them. */
export const rebindVariables = (site: Site, own: Rebinds, all: Rebinds, gamut: Gamut): Declarations =>
  closureVariables(site, Object.keys(own), all, { mode: 'published', gamut });
