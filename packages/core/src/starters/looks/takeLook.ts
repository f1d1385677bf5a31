import { nearestToken } from '../../choices/index.ts';
import { keyAtEnd } from '../../commands/order/order.ts';
import { variantsOf } from '../../guide/index.ts';
import { type Edit, newId, putRecord, type Site, type VariantRecord } from '../../site/index.ts';
import { parseSlot } from '../../slots/index.ts';
import { isLoose, type Value } from '../../values/index.ts';
import type { ReadyLook } from './index.ts';

/** Nothing, less than nothing and halves of a thing are no steps of a scale. */
const staysAsItIs = (value: Value): boolean =>
  value.type === 'dimension' &&
  (value.value.value <= 0 || value.value.unit === '%' || value.value.unit === 'em');

/** Makes a variant of the guide of a ready look; the guide's own where it has one of that name already. */
export function takeLook(site: Site, look: ReadyLook): { edits: Edit[]; id: string } {
  const siblings = variantsOf(site, look.element, look.axis);
  const known = siblings.find(it => it.name.toLowerCase() === look.name.toLowerCase());
  if (known) return { edits: [], id: known.id };
  const styles = Object.fromEntries(
    Object.entries(look.styles).map(([slot, value]): [string, Value] => {
      const property = parseSlot(slot)?.property;
      if (!property || property === 'textStyle' || !isLoose(value) || staysAsItIs(value))
        return [slot, value];
      const near = nearestToken(site, property, value);
      return [slot, near === null ? value : { type: 'token', token: near }];
    }),
  );
  const record: VariantRecord = {
    id: newId('v'),
    kind: 'variant',
    element: look.element,
    axis: look.axis,
    name: look.name,
    order: keyAtEnd(siblings),
    styles,
  };
  return { id: record.id, edits: [putRecord(record)] };
}
