import type { Id, TokenRecord } from '../site/records.ts';
import { tokensIn, type Value } from '../values/index.ts';
import { derivationNamed } from './derivations/index.ts';

export type Tokens = ReadonlyMap<Id, TokenRecord>;
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
  const found = new Set(ids);
  for (const id of found) {
    for (const next of following.get(id) ?? []) if (!Object.hasOwn(rebinds, next)) found.add(next);
    for (const [next, value] of Object.entries(rebinds)) if (tokensIn(value).includes(id)) found.add(next);
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
  let value = start;
  while (value.type === 'token') {
    const id = value.token;
    const next = boundValue(tokens, rebinds, id);
    if (!next || steps.some(step => step.token === id)) return null;
    steps.push({ token: id, value: next });
    value = next;
  }
  const literal =
    value.type === 'derived'
      ? compute(tokens, rebinds, value, new Set(steps.map(step => step.token)))
      : value;
  return literal && { steps, literal };
}

function compute(tokens: Tokens, rebinds: Rebinds, value: Value, passed: ReadonlySet<Id>): Value | null {
  if (value.type === 'token') {
    if (passed.has(value.token)) return null;
    const next = boundValue(tokens, rebinds, value.token);
    return next && compute(tokens, rebinds, next, new Set(passed).add(value.token));
  }
  if (value.type !== 'derived') return value;
  const { op, from, by } = value.derivation;
  const inputs: Value[] = [];
  for (const id of from) {
    const input = compute(tokens, rebinds, { type: 'token', token: id }, passed);
    if (!input) return null;
    inputs.push(input);
  }
  return derivationNamed(op)?.compute(inputs, by) ?? null;
}

/** The literal a value ends in, references inside a shadow left as they are; null in a circle or at a missing token. */
export const literalOf = (tokens: Tokens, rebinds: Rebinds, value: Value): Value | null =>
  compute(tokens, rebinds, value, new Set());

/** The first of these tokens that following comes back to; undefined where none runs in a circle. */
export function findCircular(get: (id: Id) => Value | null, ids: Iterable<Id>): Id | undefined {
  const open = new Set<Id>();
  const done = new Set<Id>();
  const visit = (at: Id): boolean => {
    const value = get(at);
    const next = value ? tokensIn(value) : [];
    // Most tokens are literals, and need not be remembered.
    if (next.length === 0) return false;
    if (open.has(at)) return true;
    if (done.has(at)) return false;
    open.add(at);
    const found = next.some(visit);
    open.delete(at);
    done.add(at);
    return found;
  };
  for (const id of ids) if (visit(id)) return id;
  return undefined;
}

/** Whether following a token comes back to it. */
export const isCircular = (get: (id: Id) => Value | null, id: Id): boolean =>
  findCircular(get, [id]) !== undefined;
