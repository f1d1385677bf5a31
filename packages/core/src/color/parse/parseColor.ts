import type { Color } from '../color.ts';
import { colorOf } from './evaluate.ts';
import { parseSyntax } from './syntax.ts';

/** Reads any colour of CSS Color 4 and 5 that says itself what it is; null for what does not (also `currentcolor`, `var()`). */
export function parseColor(source: string): Color | null {
  const syntax = parseSyntax(source);
  return syntax && colorOf(syntax, () => null);
}
