import type { ContentType } from '../contentType.ts';

/** One of a few ways. */
export interface ChoiceField {
  type: 'choice';
  label: string;
  options: readonly (string | number)[];
}

export const choice: ContentType<ChoiceField> = {
  read: (it, { options }) => options.find(option => option === it),
  expected: ({ options }) => `one of ${options.join(', ')}`,
  isEmpty: () => false,
  print: () => '',
  references: () => [],
  mapped: value => value,
};
