/**
 * All nodes that ways lead to from a start, each once and behind those that it leads to itself, the start last. Where ways
 * run in a circle, the step that closes it is left out. Without recursion; `skip` says which need no look.
 */
export function innermostFirst<Node>(
  start: Node,
  nextOf: (node: Node) => readonly Node[],
  skip: (node: Node) => boolean = () => false,
): Node[] {
  const order: Node[] = [];
  const seen = new Set<Node>([start]);
  const stack: { node: Node; next: readonly Node[]; looked: number }[] = [
    { node: start, next: nextOf(start), looked: 0 },
  ];
  for (let top = stack.at(-1); top; top = stack.at(-1)) {
    const inner = top.next[top.looked++];
    if (inner === undefined) {
      order.push(top.node);
      stack.pop();
    } else if (!seen.has(inner) && !skip(inner)) {
      seen.add(inner);
      stack.push({ node: inner, next: nextOf(inner), looked: 0 });
    }
  }
  return order;
}
