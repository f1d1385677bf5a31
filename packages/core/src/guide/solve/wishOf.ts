import type { HeadingChoice } from '../../site/kinds/scheme.ts';
import type { Id, SchemeRecord } from '../../site/records.ts';
import type { SchemeWish } from './solveScheme.ts';

/** Roles that solving again leaves alone: those that are pinned, and those that were bound by hand. */
export const keptRoles = ({ roles, solved = {}, pinned = {} }: SchemeRecord): ReadonlySet<string> =>
  new Set(
    Object.keys(roles).filter(
      name => Object.hasOwn(pinned, name) || (name !== 'surface' && !Object.hasOwn(solved, name)),
    ),
  );

/** Other things to ask for when a scheme is worked out again. */
export interface AskedAgain extends Partial<Pick<SchemeWish, 'surface' | 'action'>> {
  /** Null leaves it to the solver. */
  headings?: HeadingChoice | null;
  /** Roles that were bound by hand are worked out too; those that are pinned are not. */
  byHand?: true;
}

/** What a scheme asks for when it is worked out again. */
export function wishOf(scheme: SchemeRecord, asked: AskedAgain = {}): SchemeWish | null {
  const bound = (name: string): Id | undefined => {
    const value = scheme.roles[name];
    return value?.type === 'token' ? value.token : undefined;
  };
  const surface = asked.surface ?? bound('surface');
  if (surface === undefined) return null;
  const keep = [...keptRoles(scheme)].flatMap(name => {
    if (asked.byHand && !Object.hasOwn(scheme.pinned ?? {}, name)) return [];
    const id = bound(name);
    return id === undefined || name === 'surface' ? [] : [[name, id] as const];
  });
  const action = asked.action ?? scheme.action;
  const headings = asked.headings === undefined ? scheme.headings : (asked.headings ?? undefined);
  return {
    surface,
    ...(action !== undefined && { action }),
    ...(headings !== undefined && { headings }),
    keep: Object.fromEntries(keep),
  };
}
