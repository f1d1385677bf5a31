import { isId } from '../value.ts';
import type { ValueKind, ValueOf } from './valueType.ts';

export const token: ValueKind<ValueOf<'token'>> = {
  read: it => (isId(it.token) ? { type: 'token', token: it.token } : null),
  print: (value, context) => context.token(value.token),
};
