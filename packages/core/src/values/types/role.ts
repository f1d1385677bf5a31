import { isId } from '../value.ts';
import type { ValueKind, ValueOf } from './valueType.ts';

export const role: ValueKind<ValueOf<'role'>> = {
  read: it => (isId(it.role) ? { type: 'role', role: it.role } : null),
  print: (value, context) => context.role(value.role),
};
