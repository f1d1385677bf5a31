import { LIMITS } from '../limits/index.ts';
import type { Problem } from '../result/index.ts';
import { tooDeep } from './chain.ts';
import type { Id, NodeRecord, PageRecord, SiteRecord } from './records.ts';
import type { Scene } from './scene.ts';

/**
 * Nothing stands inside itself, and neither sections and widgets nor pages stand too deep, one within another. What is
 * stored deeper can be taken out or away; it cannot be taken elsewhere whole.
 */
export function checkNesting(
  record: NodeRecord | PageRecord,
  before: SiteRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  if (before && 'at' in before && before.at.parent === record.at.parent) return null;
  const isPage = record.kind === 'page';
  const refused = () =>
    tooDeep(
      record.id,
      'at.parent',
      isPage ? 'pages one below another' : 'things one within another',
      LIMITS.nesting,
    );
  const passed = new Set([record.id]);
  let depth = 1;
  for (let at = get(record.at.parent); at && 'at' in at; at = get(at.at.parent)) {
    if (passed.has(at.id))
      return {
        code: 'circular',
        message: `${record.id} cannot stand inside itself.`,
        record: record.id,
        path: 'at.parent',
        found: record.at.parent,
        expected: 'a place outside it',
      };
    passed.add(at.id);
    if ((at.kind === 'page') !== isPage) break;
    if (++depth > LIMITS.nesting) return refused();
  }
  // What stands in a new record is new as well, and is looked at in its turn.
  if (!before) return null;
  for (let level: readonly Id[] = [record.id]; level.length > 0; depth++) {
    if (depth > LIMITS.nesting) return refused();
    const inner = level.flatMap(id => childrenNow(id));
    level = isPage ? inner.filter(id => get(id)?.kind === 'page') : inner;
  }
  return null;
}
