import type { Node } from './tree.ts';

const FONT =
  /^((?:(?:italic|oblique|normal|small-caps|bold|bolder|lighter|[1-9]\d\d)\s+)*)([\d.]+(?:px|r?em|pt|%))(?:\s*\/\s*([\d.]+(?:px|r?em|%)?))?\s+((?!solid|dashed|dotted|double|inset)["'a-z][^;{}]*)$/i;

/** What `font` says in one line (CSS Fonts 4, section 2.7), in the words of `typography`; null for what is no such line. */
export function fontParts(text: string): Node | null {
  const [, before = '', fontSize, lineHeight, fontFamily] = FONT.exec(text.trim()) ?? [];
  if (fontSize === undefined || fontFamily === undefined) return null;
  const weight = before.split(/\s+/).find(it => /^(?:bold|[1-9]\d\d)$/i.test(it));
  return {
    fontFamily,
    fontSize,
    fontWeight: weight === undefined ? 400 : /^\d/.test(weight) ? Number(weight) : weight,
    ...(lineHeight !== undefined && { lineHeight }),
  };
}
