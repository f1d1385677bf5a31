import type { Override } from '../../measure/index.ts';
import { type Edit, editOf, getRecord, type Id, isNode, type Site } from '../../site/index.ts';

/** Takes some overrides away; those that are gone already are left out. */
export function resetOverrides(site: Site, overrides: readonly Override[]): Edit[] {
  const byNode = new Map<Id, Override[]>();
  for (const it of overrides) byNode.set(it.node, [...(byNode.get(it.node) ?? []), it]);
  return [...byNode].flatMap(([id, list]): Edit[] => {
    const record = getRecord(site, id);
    if (!isNode(record)) return [];
    const edit = editOf(record);
    return (['styles', 'declarations'] as const).flatMap((at): Edit[] => {
      const there = Object.keys(record[at] ?? {});
      const gone = list.filter(it => it.at === at && there.includes(it.key)).map(it => it.key);
      if (gone.length === 0) return [];
      if (gone.length < there.length) return gone.map(key => edit.unsetIn(at, key));
      return [at === 'styles' ? edit.set('styles', {}) : edit.unset('declarations')];
    });
  });
}
