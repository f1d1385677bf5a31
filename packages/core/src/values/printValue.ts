import { VALUE_TYPES } from './types/index.ts';
import type { CssContext, ValueOf } from './types/valueType.ts';
import type { Value, ValueType } from './value.ts';

const printing = <T extends ValueType>(type: T, value: ValueOf<T>, context: CssContext): string =>
  VALUE_TYPES[type].print(value, context, it => printCss(it, context));

/** CSS text of a value. A text style has none: it is expanded before. */
export const printCss = (value: Value, context: CssContext): string => printing(value.type, value, context);

const typing = <T extends ValueType>(type: T, value: ValueOf<T>, context: CssContext): string => {
  const { typed, print } = VALUE_TYPES[type];
  const inside = (it: Value) => printAsTyped(it, context);
  return typed ? typed(value, inside) : print(value, context, inside);
};

/** A value as people type it; `context` says how references are written. */
export const printAsTyped = (value: Value, context: CssContext): string => typing(value.type, value, context);
