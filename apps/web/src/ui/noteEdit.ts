import { type Edit, editOf, type Id } from '@cove/core';

/** Sets the note of something of the guide, or takes it away where it is empty. */
export const noteEdit = (
  record: { readonly kind: 'preset' | 'textStyle' | 'scheme' | 'variant'; readonly id: Id },
  note: string,
): Edit[] => [editOf(record).put('note', note === '' ? null : note)];
