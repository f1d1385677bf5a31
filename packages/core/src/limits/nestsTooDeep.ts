import { LIMITS } from './limits.ts';

/** Whether brackets stand one within another more deeply than they may. */
export function nestsTooDeep(source: string): boolean {
  let depth = 0;
  for (const c of source) {
    if (c === '(' || c === '{') depth++;
    else if (c === ')' || c === '}') depth--;
    if (depth > LIMITS.typed.brackets) return true;
  }
  return false;
}
