import { inTextStyle, type PresetUse, propertyOf } from '../properties/index.ts';
import { includedIn } from '../site/includedIn.ts';
import { byOrder } from '../site/order.ts';
import type { Id, PresetRecord } from '../site/records.ts';
import type { Site } from '../site/site.ts';
import { parseSlot, printSlot, type Slot, type Styles } from '../slots/index.ts';
import type { Value } from '../values/index.ts';

export interface PresetStyles {
  /** What it sets itself over what the presets in it set. */
  styles: Styles;
  /** The preset that says it, for slots that come from one within. */
  from: ReadonlyMap<Slot, Id>;
}

const NOTHING: PresetStyles = { styles: {}, from: new Map() };
const cache = new WeakMap<
  PresetRecord,
  { within: readonly (PresetRecord | undefined)[]; made: PresetStyles }
>();

/** Ids of all presets within one, however deep, itself last; each once, where it stands last. */
export function presetsWithin({ kinds: { preset } }: Pick<Site, 'kinds'>, id: Id): Id[] {
  // From the last to the first, so that each is met where it stands last and need be met only once.
  const found = new Set<Id>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    const record = preset.get(at);
    if (!record || found.has(at)) continue;
    found.add(at);
    open.push(...includedIn(record));
  }
  return [...found].reverse();
}

const holders = new WeakMap<Site['kinds']['preset'], ReadonlyMap<Id, readonly Id[]>>();

/** Which presets hold each one directly; made once for each map of presets. */
function holdersOf(presets: Site['kinds']['preset']): ReadonlyMap<Id, readonly Id[]> {
  const known = holders.get(presets);
  if (known) return known;
  const made = new Map<Id, Id[]>();
  for (const record of presets.values())
    for (const inner of includedIn(record)) {
      const list = made.get(inner);
      if (list) list.push(record.id);
      else made.set(inner, [record.id]);
    }
  holders.set(presets, made);
  return made;
}

/** Presets that hold this one, however deep, itself among them: all that alters when it does. */
export function presetsAround({ kinds: { preset } }: Pick<Site, 'kinds'>, id: Id): Id[] {
  const around = holdersOf(preset);
  const found = new Set([id]);
  for (const inner of found) for (const holder of around.get(inner) ?? []) found.add(holder);
  return [...found];
}

/** A text style over longhands of type in the same slot hides them; in one map they would beat it. */
function clearType(styles: Map<Slot, Value>, from: Map<Slot, Id>, slot: Slot): void {
  const at = parseSlot(slot);
  if (at?.property !== 'textStyle') return;
  for (const other of [...styles.keys()]) {
    const it = parseSlot(other);
    if (!it || it.property === 'textStyle' || !inTextStyle(propertyOf(it.property))) continue;
    if (printSlot({ ...it, property: 'textStyle' }) !== slot) continue;
    styles.delete(other);
    from.delete(other);
  }
}

/** What a preset sets with all presets in it: later over earlier, its own over all. */
export function presetStyles(site: Pick<Site, 'kinds'>, id: Id): PresetStyles {
  const { preset } = site.kinds;
  const record = preset.get(id);
  if (!record) return NOTHING;
  const order = presetsWithin(site, id);
  const within = order.map(it => preset.get(it));
  const known = cache.get(record);
  if (known && known.within.length === within.length && known.within.every((it, i) => it === within[i]))
    return known.made;
  let made: PresetStyles = { styles: record.styles, from: new Map() };
  if (order.length > 1) {
    const styles = new Map<Slot, Value>();
    const from = new Map<Slot, Id>();
    for (const inner of within)
      for (const [slot, value] of Object.entries(inner?.styles ?? {})) {
        clearType(styles, from, slot);
        styles.set(slot, value);
        if (inner && inner.id !== id) from.set(slot, inner.id);
        else from.delete(slot);
      }
    made = { styles: Object.fromEntries(styles), from };
  }
  cache.set(record, { within, made });
  return made;
}

/** Presets that are made for one of some uses, in the order of the guide. */
export const presetsOfUse = ({ kinds }: Pick<Site, 'kinds'>, uses: readonly PresetUse[]): PresetRecord[] =>
  [...kinds.preset.values()].filter(it => it.use !== undefined && uses.includes(it.use)).sort(byOrder);
