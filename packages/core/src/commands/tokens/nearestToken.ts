import { distance } from '../../color/index.ts';
import { type PropertyName, propertyOf, tokenTypesOf } from '../../properties/index.ts';
import type { Id, Site, SiteRecord } from '../../site/index.ts';
import { parseSlot } from '../../slots/index.ts';
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
import { tokensIn, type Value } from '../../values/index.ts';

/** As browsers begin (CSS Values 4, section 6.1): what a `rem` is where the reader has set nothing. */
const PX_PER_REM = 16;

const inPx = (value: Value): number | null => {
  if (value.type !== 'dimension') return null;
  const { value: n, unit } = value.value;
  return unit === 'px' ? n : unit === 'rem' ? n * PX_PER_REM : null;
};

/** How far two literals of a kind are from each other; null where they cannot be compared. */
function apart(a: Value, b: Value): number | null {
  if (a.type === 'color' && b.type === 'color') return distance(a.value, b.value);
  if (a.type === 'dimension' && b.type === 'dimension') {
    if (a.value.unit === b.value.unit) return Math.abs(a.value.value - b.value.value);
    const [one, other] = [inPx(a), inPx(b)];
    return one === null || other === null ? null : Math.abs(one - other) / PX_PER_REM;
  }
  if ((a.type === 'number' && b.type === 'number') || (a.type === 'duration' && b.type === 'duration'))
    return Math.abs(a.value - b.value);
  return null;
}

const used = new WeakMap<
  Site['kinds']['default'],
  { inputs: readonly unknown[]; byFacet: Map<string, Set<Id>> }
>();

/** Tokens that the guide's own rules name in properties of a facet: what a scale is for is told by its use. */
function tokensOfFacet(site: Site, facet: string): ReadonlySet<Id> {
  const { default: defaults, variant, preset } = site.kinds;
  const inputs = [variant, preset];
  let known = used.get(defaults);
  if (!known?.inputs.every((it, i) => it === inputs[i])) {
    const byFacet = new Map<string, Set<Id>>();
    const records: Iterable<SiteRecord & { styles: Readonly<Record<string, Value>> }>[] = [
      defaults.values(),
      variant.values(),
      preset.values(),
    ];
    for (const list of records)
      for (const { styles } of list)
        for (const [slot, value] of Object.entries(styles)) {
          const property = parseSlot(slot)?.property;
          if (!property || property === 'textStyle') continue;
          const key = propertyOf(property).facet;
          const set = byFacet.get(key) ?? new Set();
          for (const id of tokensIn(value)) set.add(id);
          byFacet.set(key, set);
        }
    known = { inputs, byFacet };
    used.set(defaults, known);
  }
  return known.byFacet.get(facet) ?? new Set();
}

/** The token whose value is nearest to one in a property, of those that are used for its like; else of all that fit. */
export function nearestToken(site: Site, property: PropertyName, value: Value): Id | null {
  const row = propertyOf(property);
  const types = tokenTypesOf(row);
  const fitting = [...site.kinds.token.values()]
    .filter(it => types.includes(it.type))
    .flatMap(it => {
      const end = literalOf(site.kinds.token, NO_REBINDS, it.value);
      const far = end && apart(value, end);
      return far == null ? [] : [{ id: it.id, far }];
    })
    .sort((a, b) => a.far - b.far);
  const alike = tokensOfFacet(site, row.facet);
  return (fitting.find(it => alike.has(it.id)) ?? fitting[0])?.id ?? null;
}
