import { byOrder } from './order.ts';
import type { Id, PresetRecord } from './records.ts';

const direct = new WeakMap<PresetRecord, readonly Id[]>();

/** Presets directly within one, in order. */
export function includedIn(record: PresetRecord): readonly Id[] {
  const known = direct.get(record);
  if (known) return known;
  const made = Object.entries(record.includes ?? {})
    .map(([id, it]) => ({ id, ...it }))
    .sort(byOrder)
    .map(it => it.preset);
  direct.set(record, made);
  return made;
}
