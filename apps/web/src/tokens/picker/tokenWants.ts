import type { TokenType } from '@cove/core';
import type { PickerWants } from './options.ts';

/** What the value of a token can be: of its own type, as it is typed. */
export const tokenWants = (type: TokenType, ties: boolean): PickerWants => ({
  types: [type],
  use: null,
  keywords: [],
  roles: false,
  ties,
  literals: true,
  empty: null,
});
