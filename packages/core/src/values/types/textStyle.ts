import { isId } from '../value.ts';
import type { ValueKind, ValueOf } from './valueType.ts';

export const textStyle: ValueKind<ValueOf<'textStyle'>> = {
  read: it => (isId(it.style) ? { type: 'textStyle', style: it.style } : null),
  // It is expanded before, and has no text of its own.
  print: () => '',
};
