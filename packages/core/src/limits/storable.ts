/** NUL, which PostgreSQL cannot hold, and halves of surrogate pairs, which no encoding can. */
export const isWellFormed = (text: string): boolean =>
  !text.includes('\u0000') && !/[\uD800-\uDFFF]/u.test(text);

/** Escapes that could stand for either of them. */
const SUSPICIOUS = /\\u(?:0000|[dD][89a-fA-F])/;

/** Whether a JSON text may hold a string that cannot be stored: a quick look, so that few texts need the long one. */
export const mayHoldUnstorable = (json: string): boolean => SUSPICIOUS.test(json) || !isWellFormed(json);

/**
 * The path, joined by dots, of the first string or key that cannot be stored; null where all can. One look at each value,
 * without recursion.
 */
export function unstorableIn(value: unknown): string | null {
  const open: { path: string; value: unknown }[] = [{ path: '', value }];
  for (let at = open.pop(); at; at = open.pop()) {
    const { path } = at;
    if (typeof at.value === 'string') {
      if (!isWellFormed(at.value)) return path;
    } else if (typeof at.value === 'object' && at.value !== null)
      for (const [key, inner] of Object.entries(at.value)) {
        if (!isWellFormed(key)) return path === '' ? 'a name' : `a name in ${path}`;
        open.push({ path: path === '' ? key : `${path}.${key}`, value: inner });
      }
  }
  return null;
}

/** The same text with what cannot be stored shown as what it is: a character that is not known. */
export const storable = (text: string): string =>
  isWellFormed(text) ? text : text.replaceAll('\u0000', '\uFFFD').replace(/[\uD800-\uDFFF]/gu, '\uFFFD');
