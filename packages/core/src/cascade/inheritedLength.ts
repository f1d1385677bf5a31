import type { PropertyName } from '../properties/index.ts';
import type { Site } from '../site/index.ts';
import type { Width } from '../slots/index.ts';
import { literalOf } from '../tokens/index.ts';
import type { Length, Value } from '../values/index.ts';
import { applies, contributionsTo, winner } from './resolve.ts';
import { outside, type Spot } from './spot.ts';

/** What text is that nobody gave a size: the root's (CSS Values 4, section 6.1). */
const ROOT: Value = { type: 'dimension', value: { value: 1, unit: 'rem' } };

const round = (n: number): number => Number(n.toFixed(4));
const scaledLength = ({ value, unit }: Length, by: number): Length => ({ value: round(value * by), unit });

function scaled(it: Value, by: number): Value | null {
  if (it.type === 'dimension') return { type: 'dimension', value: scaledLength(it.value, by) };
  if (it.type === 'fluid')
    return { type: 'fluid', min: scaledLength(it.min, by), max: scaledLength(it.max, by) };
  return null;
}

/** How many font sizes a length is; null where it is not told in them. A share of 100 % counts where the property means that. */
function inFontSizes(it: Value, percent: boolean): number | null {
  if (it.type !== 'dimension') return null;
  const { value, unit } = it.value;
  if (unit === 'em') return value;
  return percent && unit === '%' ? value / 100 : null;
}

/** The font size at a place, as it is computed: no longer relative to what is around it. Null where it is told in what cannot be followed. */
export function fontSizeAt(site: Site, start: Spot, width: Width): Value | null {
  let times = 1;
  let at: Spot | null = start;
  while (at) {
    const { scope, part, state }: Spot = at;
    const list = (contributionsTo(site, scope, part).get('fontSize') ?? []).filter(it =>
      applies(it, state, width),
    );
    const said = winner(list, state, width);
    const end = said && literalOf(site.kinds.token, scope.rebinds, said.value);
    const relative = end ? inFontSizes(end, true) : null;
    if (end && relative === null) return scaled(end, times);
    times *= relative ?? 1;
    at = outside(at);
  }
  return scaled(ROOT, times);
}

/**
 * What is inherited of a relative length: it is computed where it is set, and inherited as that (CSS Cascade 5, section 7.2).
 * The very value where it is not relative, or where the size it is relative to cannot be followed.
 */
export function inheritedLength(
  site: Site,
  property: PropertyName,
  value: Value,
  from: Spot,
  width: Width,
): Value {
  const isSize = property === 'fontSize';
  const times = inFontSizes(value, isSize || property === 'lineHeight');
  if (times === null) return value;
  const around = isSize ? outside(from) : from;
  const size = around ? fontSizeAt(site, around, width) : ROOT;
  return (size && scaled(size, times)) ?? value;
}
