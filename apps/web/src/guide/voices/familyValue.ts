import type { Family, Value } from '@cove/core';

/** A voice that speaks with a family, and with the generic one where it cannot be had. */
export const familyValue = (family: Family): Value => ({
  type: 'fontFamily',
  value: family.name === family.generic ? [family.name] : [family.name, family.generic],
});
