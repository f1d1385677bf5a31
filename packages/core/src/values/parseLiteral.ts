import { LIMITS } from '../limits/index.ts';
import { LITERAL_TYPES } from './types/index.ts';
import type { LiteralType, Value } from './value.ts';

/** Reads one literal of the type asked for. `color` reads the colour inside another value, which may be a reference. */
export function parseLiteral(
  source: string,
  type: LiteralType,
  color: (text: string) => Value | null = text => parseLiteral(text, 'color'),
): Value | null {
  return source.length > LIMITS.typed.value ? null : LITERAL_TYPES[type].parse(source.trim(), color);
}
