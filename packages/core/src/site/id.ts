const LETTERS = 'abcdefghijklmnopqrstuvwxyz0123456789';

/** A new id: a letter for its kind, then 15 random letters and digits (77 bits). */
export function newId(prefix: string): string {
  const bytes = crypto.getRandomValues(new Uint8Array(15));
  return prefix + Array.from(bytes, byte => LETTERS[byte % LETTERS.length]).join('');
}
