import { LIMITS } from '../../limits/index.ts';

/** Where the bracket that opens before `from` closes; the end of the text where it does not. */
function closing(text: string, from: number): number {
  let depth = 1;
  for (let i = from; i < text.length; i++) {
    if (text[i] === '(') depth++;
    else if (text[i] === ')' && --depth === 0) return i;
  }
  return text.length;
}

/**
 * Answers with a value in which every `var()` is replaced by what its property holds, or by its fallback (CSS Custom
 * Properties 1, section 3); as it stands where one leads nowhere, back to itself, or past the length that a value may
 * have. Each property is looked at once, since a few short ones can stand for any length of text.
 */
export function substituter(known: ReadonlyMap<string, string>): (text: string) => string {
  const found = new Map<string, string | null>();
  const ofProperty = (name: string, depth: number): string | null => {
    const settled = found.get(name);
    if (settled !== undefined) return settled;
    const text = known.get(name);
    // Until it is known, it leads back to itself.
    found.set(name, null);
    const value = text === undefined ? null : whole(text.trim(), depth + 1);
    found.set(name, value);
    return value;
  };
  const whole = (text: string, depth: number): string | null => {
    if (depth > LIMITS.following || text.length > LIMITS.typed.value) return null;
    let result = '';
    let at = 0;
    for (let start = text.indexOf('var('); start >= 0; start = text.indexOf('var(', at)) {
      const end = closing(text, start + 4);
      const inside = text.slice(start + 4, end);
      const comma = inside.indexOf(',');
      const name = (comma < 0 ? inside : inside.slice(0, comma)).trim();
      const value =
        ofProperty(name, depth) ?? (comma < 0 ? null : whole(inside.slice(comma + 1).trim(), depth + 1));
      if (value === null) return null;
      result += text.slice(at, start) + value;
      if (result.length > LIMITS.typed.value) return null;
      at = end + 1;
    }
    return result + text.slice(at);
  };
  return text => whole(text, 0) ?? text;
}
