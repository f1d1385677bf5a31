/** How far ways lead from a node: steps of the longest, or why it cannot be said. */
export type WayLength = number | 'circular' | 'too-long';

interface Open<Node> {
  node: Node;
  next: readonly Node[];
  /** How many of `next` have been looked at. */
  looked: number;
  /** Steps of the longest way found so far. */
  longest: number;
}

/**
 * Answers how many steps the longest way from a node has, looking at each node once however many ways lead to it, and
 * without recursion, so that no depth overflows the stack. It gives up where a way has more than `most` steps. What one
 * call has found out, the next one knows.
 */
export function longestWays<Node>(
  nextOf: (node: Node) => readonly Node[],
  most: number,
): (start: Node) => WayLength {
  const known = new Map<Node, WayLength>();
  return start => {
    const settled = known.get(start);
    if (settled !== undefined) return settled;
    const open = new Set<Node>();
    const stack: Open<Node>[] = [];
    const enter = (node: Node) => {
      const next = nextOf(node);
      if (next.length === 0) known.set(node, 0);
      else {
        open.add(node);
        stack.push({ node, next, looked: 0, longest: 0 });
      }
    };
    enter(start);
    for (let top = stack.at(-1); top; top = stack.at(-1)) {
      const inner = top.next[top.looked];
      if (inner === undefined) {
        known.set(top.node, top.longest);
        open.delete(top.node);
        stack.pop();
        continue;
      }
      const way = open.has(inner) ? 'circular' : known.get(inner);
      if (way === undefined) {
        if (stack.length > most) return fail(known, open, 'too-long');
        enter(inner);
        continue;
      }
      if (typeof way !== 'number') return fail(known, open, way);
      top.longest = Math.max(top.longest, way + 1);
      if (top.longest + stack.length - 1 > most) return fail(known, open, 'too-long');
      top.looked++;
    }
    return known.get(start) ?? 0;
  };
}

/** What leads into a circle never ends; where a way was too long, only that of the start is known to be. */
function fail<Node>(known: Map<Node, WayLength>, open: ReadonlySet<Node>, why: 'circular' | 'too-long') {
  if (why === 'circular') for (const node of open) known.set(node, why);
  return why;
}
