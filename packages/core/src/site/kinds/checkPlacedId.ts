import type { Problem } from '../../result/index.ts';
import { placedId } from '../place.ts';
import type { DefaultRecord } from './default.ts';
import type { VariantRuleRecord } from './variantRule.ts';

/** There is one rule for what it is about and a place: its id is made of both. */
export function checkPlacedId(record: DefaultRecord | VariantRuleRecord): Problem | null {
  const expected = placedId(record);
  if (expected === record.id) return null;
  return {
    code: 'bad-id',
    message: 'There is one default for an element and place; its id says which.',
    record: record.id,
    path: 'id',
    found: record.id,
    expected,
  };
}
