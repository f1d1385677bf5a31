import { type Edit, getRecord, type Id, isNode, placedId, type Site, type Slot } from '../site/index.ts';
import type { Value } from '../values/index.ts';

/** Where a value can be set by hand. */
export type StyleTarget = { type: 'record'; id: Id } | { type: 'default'; element: string };

/** The record a target stands for; a default of the whole site may not exist yet. */
export const targetId = (target: StyleTarget): Id =>
  target.type === 'record' ? target.id : placedId({ kind: 'default', element: target.element, place: null });

/** Sets a slot, or takes its value away where `value` is null. */
export function setSlot(site: Site, target: StyleTarget, slot: Slot, value: Value | null): Edit[] {
  const id = targetId(target);
  const record = getRecord(site, id);
  if (!record && target.type === 'default')
    return value
      ? [
          {
            op: 'put',
            record: { id, kind: 'default', element: target.element, place: null, styles: { [slot]: value } },
          },
        ]
      : [];
  if (!record || !('styles' in record)) return [];
  if (value === null)
    return Object.hasOwn(record.styles, slot) ? [{ op: 'unset', id, path: ['styles', slot] }] : [];
  return [{ op: 'set', id, path: ['styles', slot], value }];
}

/** Takes away everything a node sets itself; its presets and variants stay. */
export function resetNode(site: Site, id: Id): Edit[] {
  const record = getRecord(site, id);
  return isNode(record) && Object.keys(record.styles).length > 0
    ? [{ op: 'set', id, path: ['styles'], value: {} }]
    : [];
}
