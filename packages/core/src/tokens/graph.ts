import { derivationNamed } from '../derivations/index.ts';
import { innermostFirst, longestWays } from '../graph/index.ts';
import type { Id } from '../site/records.ts';
import type { Tokens } from '../site/tokenNames.ts';
import { tokensIn, type Value } from '../values/index.ts';

export type { Tokens } from '../site/tokenNames.ts';
/** Values that tokens have from some place downwards instead of their own; the nearer place is merged over the farther. */
export type Rebinds = Readonly<Record<Id, Value>>;
export const NO_REBINDS: Rebinds = {};

const dependents = new WeakMap<Tokens, ReadonlyMap<Id, readonly Id[]>>();

/** Which tokens follow a token directly, over the whole guide; made once for each map of tokens. */
function dependentsOf(tokens: Tokens): ReadonlyMap<Id, readonly Id[]> {
  const known = dependents.get(tokens);
  if (known) return known;
  const map = new Map<Id, Id[]>();
  for (const { id, value } of tokens.values())
    for (const to of tokensIn(value)) {
      const list = map.get(to);
      if (list) list.push(id);
      else map.set(to, [id]);
    }
  dependents.set(tokens, map);
  return map;
}

export const boundValue = (tokens: Tokens, rebinds: Rebinds, id: Id): Value | null =>
  (Object.hasOwn(rebinds, id) ? rebinds[id] : tokens.get(id)?.value) ?? null;

/** The given tokens and all that follow them, directly or through others, under these rebindings. */
export function closure(tokens: Tokens, ids: Iterable<Id>, rebinds: Rebinds = NO_REBINDS): Set<Id> {
  const following = dependentsOf(tokens);
  const rebound = new Map<Id, Id[]>();
  for (const [next, value] of Object.entries(rebinds))
    for (const to of tokensIn(value)) {
      const list = rebound.get(to);
      if (list) list.push(next);
      else rebound.set(to, [next]);
    }
  const found = new Set(ids);
  for (const id of found) {
    for (const next of following.get(id) ?? []) if (!Object.hasOwn(rebinds, next)) found.add(next);
    for (const next of rebound.get(id) ?? []) found.add(next);
  }
  return found;
}

export interface Step {
  token: Id;
  value: Value;
}

/** The way from a value down to its literal: every token passed. Null where it runs in a circle or into nothing. */
export function follow(
  tokens: Tokens,
  rebinds: Rebinds,
  start: Value,
): { steps: Step[]; literal: Value } | null {
  const steps: Step[] = [];
  const passed = new Set<Id>();
  let value = start;
  while (value.type === 'token') {
    const id = value.token;
    const next = boundValue(tokens, rebinds, id);
    if (!next || passed.has(id)) return null;
    passed.add(id);
    steps.push({ token: id, value: next });
    value = next;
  }
  const literal = literalOf(tokens, rebinds, value);
  return literal && { steps, literal };
}

/** Literals that tokens end in, by the maps they were worked out from; null in a circle or at a missing token. */
const literals = new WeakMap<Tokens, WeakMap<Rebinds, Map<Id, Value | null>>>();

function literalsUnder(tokens: Tokens, rebinds: Rebinds): Map<Id, Value | null> {
  let known = literals.get(tokens);
  if (!known) {
    known = new WeakMap();
    literals.set(tokens, known);
  }
  let under = known.get(rebinds);
  if (!under) {
    under = new Map();
    known.set(rebinds, under);
  }
  return under;
}

/** Tokens that a value is worked out from: not those that stand inside a shadow or gradient, which stay as they are. */
const workedOutFrom = (value: Value | null): readonly Id[] => {
  if (value?.type === 'token') return [value.token];
  return value?.type === 'derived' ? value.derivation.from : [];
};

function workOut(value: Value, literal: (id: Id) => Value | null): Value | null {
  if (value.type === 'token') return literal(value.token);
  if (value.type !== 'derived') return value;
  const { op, from, by } = value.derivation;
  const inputs: Value[] = [];
  for (const id of from) {
    const input = literal(id);
    if (!input) return null;
    inputs.push(input);
  }
  return derivationNamed(op)?.compute(inputs, by) ?? null;
}

/**
 * The literal a value ends in, references inside a shadow left as they are; null in a circle or at a missing token. Each
 * token is worked out once for a guide, however many ways lead to it.
 */
export function literalOf(tokens: Tokens, rebinds: Rebinds, value: Value): Value | null {
  const from = workedOutFrom(value);
  if (from.length === 0) return value.type === 'token' ? null : workOut(value, () => null);
  const known = literalsUnder(tokens, rebinds);
  const literal = (id: Id) => known.get(id) ?? null;
  for (const start of from) {
    if (known.has(start)) continue;
    const order = innermostFirst(
      start,
      id => workedOutFrom(boundValue(tokens, rebinds, id)),
      id => known.has(id),
    );
    for (const id of order) {
      const bound = boundValue(tokens, rebinds, id);
      known.set(id, bound && workOut(bound, literal));
    }
  }
  return workOut(value, literal);
}

/** The first of these tokens that following comes back to; undefined where none runs in a circle. */
export function findCircular(get: (id: Id) => Value | null, ids: Iterable<Id>): Id | undefined {
  const way = longestWays((id: Id) => {
    const value = get(id);
    return value ? tokensIn(value) : [];
  }, Number.POSITIVE_INFINITY);
  for (const id of ids) if (way(id) === 'circular') return id;
  return undefined;
}

/** Whether following a token comes back to it. */
export const isCircular = (get: (id: Id) => Value | null, id: Id): boolean =>
  findCircular(get, [id]) !== undefined;
