import type { Gamut } from '../color/index.ts';
import { patternImage } from '../guide/patternImage.ts';
import { roleChain } from '../guide/roles.ts';
import { type PropertyName, printDeclaration, propertyOf } from '../properties/index.ts';
import { type AssetRecord, type Id, isFileType, type Site, settingsOf } from '../site/index.ts';
import type { Slot, State, Width } from '../slots/index.ts';
import { follow, literalOf, type Step } from '../tokens/index.ts';
import { type CssContext, colorsIn, printCss, type Value } from '../values/index.ts';
import { inheritedLength } from './inheritedLength.ts';
import { type OriginName, speakerOf } from './rank.ts';
import { applies, type Contribution, contributionsTo, winner } from './resolve.ts';
import { partScope, type Scope } from './scope.ts';
import { outside, type Spot } from './spot.ts';

/** Why a value that had a say lost: what the one above it has that it lacks. */
export type Why = 'state' | 'width' | 'origin' | 'order' | 'inherited' | 'off';

export interface Hidden {
  origin: OriginName;
  record: Id | null;
  slot: Slot;
  value: Value;
  why: Why;
  /** Where it was said: the node, or null for the page itself or a cell of the specimen, and its element and part. */
  node: Id | null;
  element: string;
  part: string;
}

export type Via =
  | { role: string; scheme: Id; wearer: Id; value: Value }
  | {
      token: Id;
      value: Value /** The page or section that rebinds it, where one does. */;
      rebound: Id | null;
    };

/** The way of one value from the place that shows it back to what it ends in. */
export interface Thread {
  property: PropertyName;
  /** What it ends in; null where nobody says anything, so that CSS's initial or inherited value holds. */
  value: Value | null;
  css: string | null;
  from: {
    origin: OriginName;
    record: Id | null;
    slot: Slot;
    /** The node whose part set it; null for the page itself and for a cell of the specimen. */
    node: Id | null;
    element: string;
    part: string;
    inherited: boolean;
    /** The text style that brought it. */
    textStyle: Id | null;
    /** As it is written there. */
    value: Value;
  } | null;
  via: readonly Via[];
  overridden: readonly Hidden[];
}

export interface Asked {
  part: string;
  state: State;
  width: Width;
  property: PropertyName;
}

function whyLost(it: Contribution, won: Contribution): Why {
  if (!it.on) return 'off';
  if (it.state !== won.state) return 'state';
  if (it.width !== won.width) return 'width';
  return it.origin === won.origin && speakerOf(it.rank) === speakerOf(won.rank) ? 'order' : 'origin';
}

const hidden = ({ origin, record, slot, value }: Contribution, why: Why, { scope, part }: Spot): Hidden => ({
  origin,
  record,
  slot,
  value,
  why,
  node: scope.node?.id ?? null,
  element: scope.element.name,
  part,
});

/** What CSS text depends on beside the site: the length of one per cent of the viewport, where pictures lie, what the screen shows. */
export interface Surroundings {
  viewportUnit?: string;
  assetUrl?(asset: AssetRecord): string;
  gamut?: Gamut;
}

/** CSS text of a picture; its file name is ours, and the address of where it lies too. */
export function printPicture(site: Site, id: Id, assetUrl: (asset: AssetRecord) => string): string {
  const asset = site.kinds.asset.get(id);
  return asset && !isFileType(asset.mime) ? `url("${assetUrl(asset)}")` : 'none';
}

/** Contexts in which references print as what they end in. */
export function literalContext(
  site: Site,
  scope: Pick<Scope, 'scheme' | 'rebinds'>,
  { viewportUnit = '1vw', assetUrl = ({ file }) => file, gamut = 'srgb' }: Surroundings = {},
): CssContext {
  const settings = settingsOf(site);
  const tokens = site.kinds.token;
  const context: CssContext = {
    fluid: { from: settings.fluidFrom, to: settings.fluidTo },
    gamut,
    viewportUnit,
    token: id => printEnd({ type: 'token', token: id }),
    role: name => {
      const value = roleValue(site, scope.scheme, name);
      return value ? printEnd(value.value) : 'currentcolor';
    },
    derived: value => printEnd(value),
    picture: id => printPicture(site, id, assetUrl),
    pattern: ({ drawing, ink }) => {
      const record = site.kinds.drawing.get(drawing);
      return record ? patternImage(record, ink, context) : 'none';
    },
  };
  const printEnd = (value: Value): string => {
    const literal = literalOf(tokens, scope.rebinds, value);
    return literal ? printCss(literal, context) : 'unset';
  };
  return context;
}

/** What a scheme binds a role to, fallbacks followed; the role at which it was found. */
export function roleValue(site: Site, scheme: Id, name: string): { role: string; value: Value } | null {
  const roles = site.kinds.scheme.get(scheme)?.roles ?? {};
  for (const role of roleChain(site, name)) {
    const value = Object.hasOwn(roles, role) ? roles[role] : undefined;
    if (value) return { role, value };
  }
  return null;
}

const reboundBy = (scope: Scope, token: Id): Id | null => {
  if (scope.section && Object.hasOwn(scope.section.rebind, token)) return scope.section.id;
  return scope.page && Object.hasOwn(scope.page.rebind, token) ? scope.page.id : null;
};

/** From a value as it is written to its literal: role, scheme, tokens, each passed on the way. */
function way(site: Site, scope: Scope, value: Value): { via: Via[]; end: Value | null } {
  const via: Via[] = [];
  let at = value;
  if (at.type === 'role') {
    const bound = roleValue(site, scope.scheme, at.role);
    if (!bound) return { via, end: null };
    via.push({ role: bound.role, scheme: scope.scheme, wearer: scope.wearer, value: bound.value });
    at = bound.value;
  }
  const followed = follow(site.kinds.token, scope.rebinds, at);
  const step = ({ token, value: it }: Step): Via => ({ token, value: it, rebound: reboundBy(scope, token) });
  const last = followed?.steps.at(-1)?.value ?? at;
  via.push(...(followed?.steps.map(step) ?? []));
  if (last.type === 'derived') via.push(...last.derivation.from.flatMap(id => inputs(site, scope, id)));
  // A shadow, gradient or image leads on to each colour in it.
  via.push(...colorsIn(last).flatMap(color => way(site, scope, color).via));
  return { via, end: followed?.literal ?? null };
}

/** What a derivation follows, as far as it goes. */
function inputs(site: Site, scope: Scope, token: Id): Via[] {
  const followed = follow(site.kinds.token, scope.rebinds, { type: 'token', token });
  if (!followed) return [];
  const last = followed.steps.at(-1)?.value;
  const further = last?.type === 'derived' ? last.derivation.from.flatMap(id => inputs(site, scope, id)) : [];
  return [
    ...followed.steps.map(
      (it): Via => ({ token: it.token, value: it.value, rebound: reboundBy(scope, it.token) }),
    ),
    ...further,
  ];
}

/** Who won, from where, through what, and all that it hides. */
export function threadOf(site: Site, where: Scope, asked: Asked): Thread {
  const { property, width } = asked;
  const scope = partScope(where, asked.part);
  const row = propertyOf(property);
  const overridden: Hidden[] = [];
  let won: (Spot & { it: Contribution }) | null = null;
  let at: Spot | null = { scope, part: asked.part, state: asked.state };
  while (at) {
    const { scope: here, part, state }: Spot = at;
    const list = (contributionsTo(site, here, part).get(property) ?? []).filter(it =>
      applies(it, state, width),
    );
    const best = winner(list, state, width);
    if (best && !won) won = { it: best, scope: here, part, state };
    for (const it of list.toReversed()) {
      if (it === won?.it) continue;
      const why = best && won?.it === best ? whyLost(it, best) : it.on ? 'inherited' : 'off';
      overridden.push(hidden(it, why, at));
    }
    at = row.inherited ? outside(at) : null;
  }
  if (!won) return { property, value: null, css: null, from: null, via: [], overridden };
  const { it } = won;
  const { via, end } = way(site, won.scope, it.value);
  const inherited = won.scope !== scope || won.part !== asked.part;
  const shown = end && inherited ? inheritedLength(site, property, end, won, width) : end;
  return {
    property,
    value: end,
    css: shown && printDeclaration(row, shown, literalContext(site, won.scope)),
    from: {
      origin: it.origin,
      record: it.record,
      slot: it.slot,
      node: won.scope.node?.id ?? null,
      element: won.scope.element.name,
      part: won.part,
      inherited,
      textStyle: it.textStyle,
      value: it.value,
    },
    via,
    overridden,
  };
}

/**
 * CSS text of every property that somebody sets on a part, references followed to their end. An element can be in several
 * states at once; of those, the strongest that has a value wins.
 */
export function computedStyles(
  site: Site,
  scope: Scope,
  part: string,
  states: readonly State[],
  width: Width,
  surroundings: Surroundings = {},
): Map<PropertyName, string> {
  const context = literalContext(site, scope, surroundings);
  const found = new Map<PropertyName, string>();
  for (const [property, list] of contributionsTo(site, scope, part)) {
    const best = list.findLast(it => it.on && states.some(state => applies(it, state, width)));
    if (best) found.set(property, printDeclaration(propertyOf(property), best.value, context));
  }
  return found;
}

/** The more particular situations in which another value holds than the one set here: "hover keeps …, narrow keeps …". */
export function keptElsewhere(site: Site, scope: Scope, asked: Asked): Contribution[] {
  const list = contributionsTo(site, scope, asked.part).get(asked.property) ?? [];
  return list.filter(it => it.on && !applies(it, asked.state, asked.width));
}
