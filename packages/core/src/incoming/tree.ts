import { LIMITS } from '../limits/index.ts';

/** Any JSON object of a token file: a group, a token, or part of a value. */
export type Node = Readonly<Record<string, unknown>>;
export const isNode = (it: unknown): it is Node =>
  typeof it === 'object' && it !== null && !Array.isArray(it);
/** A token is what has a `$value`; every other object is a group (Format Module 2025.10, sections 5 and 6). */
export const isToken = (node: Node): boolean => Object.hasOwn(node, '$value') || Object.hasOwn(node, '$ref');

/** Something about the file that cannot be; carries the path to it. */
export class BadToken extends Error {
  constructor(
    readonly path: readonly string[],
    message: string,
    readonly expected?: string,
    /** Whether reading on would cost more than is allowed. */
    readonly isBudget = false,
  ) {
    super(message);
  }

  /** The same, of something that stands at a place. */
  at(place: readonly string[]): BadToken {
    return new BadToken([...place, ...this.path], this.message, this.expected, this.isBudget);
  }
}

const own = (node: Node, key: string): unknown => (Object.hasOwn(node, key) ? node[key] : undefined);

/** Steps of `{a.b}` or of a JSON Pointer `#/a/b` (RFC 6901); null for what is no reference. */
export function stepsOf(reference: unknown): string[] | null {
  if (typeof reference !== 'string') return null;
  const curly = /^\{([^{}]+)\}$/.exec(reference)?.[1];
  if (curly !== undefined) return curly.split('.');
  if (!reference.startsWith('#/')) return null;
  try {
    return reference
      .slice(2)
      .split('/')
      .map(step => decodeURIComponent(step).replace(/~1/g, '/').replace(/~0/g, '~'));
  } catch (error) {
    // A per cent sign that escapes nothing.
    if (error instanceof URIError) return null;
    throw error;
  }
}

export function nodeAt(root: unknown, steps: readonly string[]): unknown {
  let at: unknown = root;
  for (const step of steps) {
    if (Array.isArray(at)) at = at[Number(step)];
    else if (isNode(at)) at = own(at, step);
    else return undefined;
  }
  return at;
}

/**
 * Counts the entries that reading a file passes. Groups that extend groups, and values that refer to values, can stand for
 * far more than the file has characters; past the budget it is refused.
 */
export class Steps {
  private left: number;

  constructor(private readonly most: number) {
    this.left = most;
  }

  pass(count: number, path: readonly string[]): void {
    this.left -= count;
    if (this.left < 0)
      throw new BadToken(
        path,
        `With all that groups extend and values refer to, this file has more than ${this.most.toLocaleString('en')} entries.`,
        `at most ${this.most} entries`,
        true,
      );
  }
}

/** Two groups as one, what stands above over what stands below (section 6.4; Resolver Module 2025.10, section 6). */
export function mergeGroups(below: Node, above: Node, path: readonly string[], steps: Steps): Node {
  const both: Record<string, unknown> = { ...below };
  const entries = Object.entries(above);
  steps.pass(Object.keys(below).length + entries.length, path);
  for (const [key, it] of entries) {
    const under = own(below, key);
    // Whole tokens are replaced, groups are merged (section 6.4).
    both[key] =
      isNode(it) && isNode(under) && !isToken(it) && !key.startsWith('$')
        ? mergeGroups(under, it, path, steps)
        : it;
  }
  return both;
}

/** A group with what it takes over by `$extends`, which is merged below its own (section 6.4). */
export function extended(
  root: Node,
  group: Node,
  path: readonly string[],
  steps: Steps,
  open: ReadonlySet<Node> = new Set(),
): Node {
  if (group.$extends === undefined) return group;
  const { $extends, ...rest } = group;
  if (open.has(group)) throw new BadToken(path, 'A group extends itself.');
  if (open.size >= LIMITS.following)
    throw new BadToken(path, `More than ${LIMITS.following} groups extend one another.`);
  const to = stepsOf($extends);
  const target = to && nodeAt(root, to);
  if (!isNode(target) || isToken(target))
    throw new BadToken(
      [...path, '$extends'],
      `There is no group ${String($extends)}.`,
      'a group of the file',
    );
  return mergeGroups(extended(root, target, path, steps, new Set(open).add(group)), rest, path, steps);
}
