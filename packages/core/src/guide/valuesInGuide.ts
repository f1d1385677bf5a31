import type { PropertyName } from '../properties/index.ts';
import type { SiteRecord } from '../site/records.ts';
import type { Site } from '../site/site.ts';
import { parseSlot } from '../slots/index.ts';
import type { Value } from '../values/index.ts';

/** Every value that a guide's own rules set in a property, text styles first. */
export function* valuesInGuide({ kinds }: Site): Generator<readonly [PropertyName, Value]> {
  const records: Iterable<SiteRecord & { styles: Readonly<Record<string, Value>> }>[] = [
    kinds.textStyle.values(),
    kinds.default.values(),
    kinds.variant.values(),
    kinds.preset.values(),
  ];
  for (const list of records)
    for (const { styles } of list)
      for (const [slot, value] of Object.entries(styles)) {
        const property = parseSlot(slot)?.property;
        if (property && property !== 'textStyle') yield [property, value];
      }
}
