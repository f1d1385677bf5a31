import { namedPart, type PropertyName } from '../properties/index.ts';
import type { Site, TextStyleRecord } from '../site/index.ts';
import {
  parseSlot,
  type Slot,
  type SlotProperty,
  type State,
  type Styles,
  type Width,
} from '../slots/index.ts';
import type { Value } from '../values/index.ts';
import { widthRank } from './rank.ts';

/** One longhand of a flat map of styles. */
export interface Setting {
  part: string;
  state: State;
  width: Width;
  property: PropertyName;
  value: Value;
  /** The slot as it is written in the record: of the text style where that brought the value. */
  slot: Slot;
  textStyle: string | null;
}

const cache = new WeakMap<
  Styles,
  { styles: readonly (TextStyleRecord | undefined)[]; settings: readonly Setting[] }
>();

/** Every longhand that a map of styles sets, text styles taken apart; longhands in the same slot beat them. */
export function expand(site: Site, styles: Styles): readonly Setting[] {
  const known = cache.get(styles);
  if (known?.styles.every(style => style && site.kinds.textStyle.get(style.id) === style))
    return known.settings;
  const used: (TextStyleRecord | undefined)[] = [];
  const settings = new Map<string, Setting>();
  const key = (part: string, state: State, width: Width, property: SlotProperty) =>
    `${part}:${state}@${width}/${property}`;
  for (const [slot, value] of Object.entries(styles)) {
    const at = parseSlot(slot);
    if (!at || value.type !== 'textStyle') continue;
    const style = site.kinds.textStyle.get(value.style);
    used.push(style);
    if (!style) continue;
    const inner = Object.entries(style.styles).flatMap(([name, set]) => {
      const parts = parseSlot(name);
      return parts && parts.property !== 'textStyle' ? [{ ...parts, property: parts.property, set }] : [];
    });
    for (const { width: own, property, set } of inner.sort(
      (a, b) => widthRank(a.width) - widthRank(b.width),
    )) {
      const width = widthRank(own) > widthRank(at.width) ? own : at.width;
      settings.set(key(at.part, at.state, width, property), {
        part: at.part,
        state: at.state,
        width,
        property,
        value: set,
        slot,
        textStyle: style.id,
      });
    }
  }
  for (const [slot, value] of Object.entries(styles)) {
    const at = parseSlot(slot);
    if (!at || at.property === 'textStyle') continue;
    const { part, state, width, property } = at;
    settings.set(key(part, state, width, property), {
      part,
      state,
      width,
      property,
      value,
      slot,
      textStyle: null,
    });
  }
  const list = [...settings.values()];
  // What a preset says of a part by its own name stands over what it says of all of its kind.
  if (list.some(it => namedPart(it.part)))
    list.sort((a, b) => Number(namedPart(a.part) !== undefined) - Number(namedPart(b.part) !== undefined));
  cache.set(styles, { styles: used, settings: list });
  return list;
}
