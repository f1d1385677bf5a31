const LETTERS = 'abcdefghijklmnopqrstuvwxyz0123456789';

const ASCII = new TextDecoder();
const SIZE = 15;
/** Bytes that one call for randomness may ask for (Web Cryptography, getRandomValues). */
const MOST = 65_536;

/** New ids: a letter for their kind, then 15 random letters and digits (77 bits). */
export function newIds(prefix: string, count: number): string[] {
  const ids: string[] = [];
  const atOnce = Math.floor(MOST / SIZE);
  while (ids.length < count) {
    const some = Math.min(atOnce, count - ids.length);
    const bytes = crypto.getRandomValues(new Uint8Array(some * SIZE));
    for (let k = 0; k < bytes.length; k++) bytes[k] = LETTERS.charCodeAt((bytes[k] ?? 0) % LETTERS.length);
    const letters = ASCII.decode(bytes);
    for (let i = 0; i < some; i++) {
      ids.push(prefix + letters.slice(i * SIZE, (i + 1) * SIZE));
    }
  }
  return ids;
}

export const newId = (prefix: string): string => newIds(prefix, 1)[0] ?? prefix;
