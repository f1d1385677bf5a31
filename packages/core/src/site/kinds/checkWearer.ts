import type { Problem } from '../../result/index.ts';
import type { Id, Wear } from '../records.ts';
import type { Scene } from '../scene.ts';

export const MAX_PRESETS_WORN = 8;

interface Wearer {
  readonly id: Id;
  readonly variants: Readonly<Record<string, Id>>;
  readonly wears: Readonly<Record<Id, Wear>>;
}

/** Variants are of the element and axis they are chosen for, and not too many presets are worn. */
export function checkWearer(record: Wearer, element: string, { get }: Scene): Problem | null {
  for (const [axis, id] of Object.entries(record.variants)) {
    const variant = get(id);
    if (variant?.kind === 'variant' && (variant.element !== element || variant.axis !== axis))
      return {
        code: 'wrong-variant',
        message: `${variant.name} is a variant of ${variant.element}, ${variant.axis}.`,
        record: record.id,
        path: `variants.${axis}`,
        found: id,
        expected: `a variant of ${element}, ${axis}`,
      };
  }
  const worn = Object.keys(record.wears).length;
  return worn <= MAX_PRESETS_WORN
    ? null
    : {
        code: 'too-many',
        message: `At most ${MAX_PRESETS_WORN} presets can be worn.`,
        record: record.id,
        path: 'wears',
        found: String(worn),
        expected: `at most ${MAX_PRESETS_WORN}`,
      };
}
