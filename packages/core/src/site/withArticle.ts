/** A noun in lower case behind its article, as in `an accordion`. */
export function withArticle(noun: string): string {
  const lower = noun.toLowerCase();
  return /^[aeiou]/.test(lower) ? `an ${lower}` : `a ${lower}`;
}
