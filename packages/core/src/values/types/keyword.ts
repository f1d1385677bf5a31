import type { LiteralKind, ValueOf } from './valueType.ts';

const LONGEST = 40;
const KEYWORD = /^[a-z][a-z-]*$/;

export const keyword: LiteralKind<ValueOf<'keyword'>> = {
  read: ({ value }) =>
    typeof value === 'string' && value.length <= LONGEST && KEYWORD.test(value)
      ? { type: 'keyword', value }
      : null,
  parse: text => (KEYWORD.test(text) ? { type: 'keyword', value: text } : null),
  print: ({ value }) => value,
};
