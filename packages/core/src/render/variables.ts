import { literalContext, roleValue, type Scope, specimenScope } from '../cascade/index.ts';
import { rolesOf } from '../guide/roles.ts';
import type { Id, Site, SiteRecord } from '../site/index.ts';
import { boundValue, closure, NO_REBINDS, type Rebinds } from '../tokens/index.ts';
import { printCss, type Value } from '../values/index.ts';
import { elementNamed } from '../widgets/index.ts';
import { derivedName } from './names.ts';
import { varContext } from './rules.ts';

export type Declarations = (readonly [name: string, text: string])[];
type Derived = Value & { type: 'derived' };

const NONE: readonly Derived[] = [];
const byRecord = new WeakMap<SiteRecord, readonly Derived[]>();
const byKind = new WeakMap<ReadonlyMap<Id, SiteRecord>, readonly Derived[]>();

function derivedOf(record: SiteRecord): readonly Derived[] {
  if (!('styles' in record)) return NONE;
  let found = byRecord.get(record);
  if (!found) {
    found = Object.values(record.styles).filter(value => value.type === 'derived');
    byRecord.set(record, found.length > 0 ? found : NONE);
  }
  return found;
}

/** Derivations in the styles of one kind of record; kept while no record of that kind changes. */
function derivedIn(records: ReadonlyMap<Id, SiteRecord>): readonly Derived[] {
  let found = byKind.get(records);
  if (!found) {
    found = [...records.values()].flatMap(derivedOf);
    byKind.set(records, found);
  }
  return found;
}

/** Derivations that are written in slots; each is a custom property beside the tokens. */
export function slotDerivations(site: Site): Derived[] {
  const found = new Map<string, Derived>();
  for (const records of Object.values(site.kinds))
    for (const value of derivedIn(records)) found.set(derivedName(value.derivation), value);
  return [...found.values()];
}

/**
 * Custom properties of the given tokens under some rebindings. Aliases stay `var()`; what is derived is computed here
 * and printed as a literal, since a browser would compute it where it is declared and not where a rebinding holds.
 */
export function tokenDeclarations(
  site: Site,
  ids: Iterable<Id>,
  rebinds: Rebinds,
  viewportUnit = '1vw',
): Declarations {
  const references = varContext(site, viewportUnit);
  const scope: Scope = { ...specimenScope(elementNamed('page'), '', {}), rebinds };
  const literals = { ...literalContext(site, scope, viewportUnit) };
  const found: Declarations = [];
  for (const id of ids) {
    const value = boundValue(site.kinds.token, rebinds, id);
    if (value) found.push([`--t-${id}`, printCss(value, value.type === 'derived' ? literals : references)]);
  }
  return found;
}

function derivedDeclarations(
  site: Site,
  rebinds: Rebinds,
  among: ReadonlySet<Id> | null,
  viewportUnit: string,
): Declarations {
  const scope: Scope = { ...specimenScope(elementNamed('page'), '', {}), rebinds };
  const context = literalContext(site, scope, viewportUnit);
  return slotDerivations(site)
    .filter(({ derivation }) => !among || derivation.from.some(id => among.has(id)))
    .map(value => [`--${derivedName(value.derivation)}`, printCss(value, context)] as const);
}

/** All tokens of the guide, for the root of a page. */
export const rootVariables = (site: Site, viewportUnit = '1vw'): Declarations => [
  ...tokenDeclarations(site, site.kinds.token.keys(), NO_REBINDS, viewportUnit),
  ...derivedDeclarations(site, NO_REBINDS, null, viewportUnit),
];

/** What alters at the root when these tokens do. */
export function closureVariables(
  site: Site,
  ids: Iterable<Id>,
  rebinds: Rebinds = NO_REBINDS,
  viewportUnit = '1vw',
): Declarations {
  const all = closure(site.kinds.token, ids, rebinds);
  return [
    ...tokenDeclarations(site, all, rebinds, viewportUnit),
    ...derivedDeclarations(site, rebinds, all, viewportUnit),
  ];
}

/** The roles of a scheme, fallbacks followed. */
export function schemeVariables(site: Site, scheme: Id): Declarations {
  const context = varContext(site, '1vw');
  return rolesOf(site).flatMap(({ name }) => {
    const bound = roleValue(site, scheme, name);
    return bound ? [[`--r-${name}`, printCss(bound.value, context)] as const] : [];
  });
}

/** A rebinding at one page or section: the tokens themselves and everything downstream of them. */
export const rebindVariables = (site: Site, own: Rebinds, all: Rebinds, viewportUnit = '1vw'): Declarations =>
  closureVariables(site, Object.keys(own), all, viewportUnit);
