import {
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodesUnder,
  type PageRecord,
  type Site,
} from '../site/index.ts';
import { elementNamed } from '../widgets/index.ts';

/** Something on a page that could not be rendered as it is. */
export interface Unrenderable {
  page: Id;
  /** Title of the page. */
  title: string;
  /** The section or widget at fault; null where it is the page itself. */
  node: Id | null;
  /** What it is called, for people. */
  name: string;
  reason: string;
}

/** Thrown where something cannot be rendered; says which, and is caught where pages are put together. */
export class CannotRender extends Error {
  constructor(
    readonly node: NodeRecord,
    readonly reason: Error,
  ) {
    super(`${node.id}: ${reason.message}`, { cause: reason });
  }
}

export const nameOfNode = (node: NodeRecord): string =>
  node.kind === 'section' ? node.name : elementNamed(node.widget).label;

/** What an error that rendering a page threw says of it. */
export function unrenderable(page: PageRecord, error: unknown): Unrenderable {
  const at = error instanceof CannotRender ? error : null;
  const reason = at ? at.reason : error;
  return {
    page: page.id,
    title: page.title,
    node: at ? at.node.id : null,
    name: at ? nameOfNode(at.node) : page.title,
    reason: reason instanceof Error ? reason.message : String(reason),
  };
}

/** Things under some roots that stand so deep that they are not shown, each but not what stands in it. */
export function hiddenByDepth(site: Site, roots: readonly NodeRecord[], most: number): NodeRecord[] {
  let level: readonly Id[] = roots.map(it => it.id);
  for (let depth = 0; depth < most && level.length > 0; depth++)
    level = level.flatMap(id => nodesUnder(site, id));
  return level.map(id => getRecord(site, id)).filter(isNode);
}
