import { stableText } from '../stableText.ts';

/** What is made anew in a drawn document after an edit of one record, and nothing else. */
export interface Effects {
  /**
   * Rules: the custom properties of tokens; those of one scheme; of drawings and pictures computed into custom properties;
   * the rules of the record itself; of it and of those that hold it; of all that mention it; the faces of fonts; everything.
   */
  readonly rules:
    | 'none'
    | 'variables'
    | 'scheme'
    | 'patterns'
    | 'source'
    | 'holders'
    | 'mentioning'
    | 'own'
    | 'page'
    | 'faces'
    | 'all';
  /** Elements: its own; those that stand where it stands or stood; those of what mentions it; lists of pages; the whole page. */
  readonly markup: 'none' | 'self' | 'place' | 'mentioning' | 'lists' | 'all';
}

export const NOTHING: Effects = { rules: 'none', markup: 'none' };
export const EVERYTHING: Effects = { rules: 'all', markup: 'all' };

/** A record that was read again holds other objects that say the same. */
const same = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && typeof b === 'object' && stableText(a) === stableText(b));

/** Whether nothing but some fields differ between two records. */
export function onlyDiffer<R extends object>(was: R, is: R, fields: readonly (keyof R)[]): boolean {
  const names = new Set([...Object.keys(was), ...Object.keys(is)]);
  for (const name of names)
    if (!fields.some(field => field === name) && !same(Reflect.get(was, name), Reflect.get(is, name)))
      return false;
  return true;
}
