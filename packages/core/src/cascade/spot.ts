import type { Content } from '../content/index.ts';
import type { State } from '../slots/index.ts';
import { hostOf, partOf } from '../widgets/index.ts';
import { childScope, type Scope } from './scope.ts';

/** A part of something that stands somewhere, in a state. */
export interface Spot {
  scope: Scope;
  part: string;
  state: State;
}

/** What is said where an element stands; its sample where it stands nowhere. */
const saidIn = (scope: Scope | undefined): Readonly<Record<string, Content>> =>
  scope?.node?.kind === 'widget' ? scope.node.content : (scope?.element.sample ?? {});

/** What is painted behind something: what holds it, or the section that it lies over. */
export const scopeBehind = ({ over, node, parent }: Scope): Scope | null =>
  over && node && parent ? childScope(parent.scope, over) : (parent?.scope ?? null);

/** Where a part inherits from: the part around it, in the state it is in then. */
export function outside({ scope, part, state }: Spot): Spot | null {
  const { inside: usual, insideOf, placedIn } = partOf(scope.element, part) ?? {};
  const inside = insideOf?.(saidIn(scope), saidIn(scope.parent?.scope)) ?? usual;
  if (inside !== undefined) {
    const same = hostOf(scope.element, inside) === hostOf(scope.element, part);
    return { scope, part: inside, state: same ? state : 'rest' };
  }
  return scope.parent && { scope: scope.parent.scope, part: placedIn ?? scope.parent.part, state: 'rest' };
}
