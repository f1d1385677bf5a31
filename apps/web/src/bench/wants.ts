import { type PropertyRow, tokenTypesOf } from '@cove/core';
import type { PickerWants } from '../tokens/picker/options.ts';

/** What a property can be given. */
export const wantsOf = (row: PropertyRow): PickerWants => ({
  types: tokenTypesOf(row),
  use: row.use,
  keywords: (row.keywords ?? []).map(word => [word, row.keywordLabels?.[word] ?? word] as const),
  roles: row.accepts.includes('color'),
  ties: true,
  literals: true,
  empty: null,
});
