import type { ContentType } from '../contentType.ts';
import { readPlain } from '../plain.ts';

/** Words without emphasis, on one line or several. */
export interface PlainField {
  type: 'plain';
  label: string;
  long?: true;
}

export const plain: ContentType<PlainField> = {
  read: it => readPlain(it) ?? undefined,
  expected: () => 'text',
  isEmpty: value => typeof value !== 'string' || value.trim() === '',
  print: value => (typeof value === 'string' ? value : ''),
  references: () => [],
  mapped: value => value,
};
