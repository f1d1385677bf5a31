import { lexer, parse } from 'css-tree';

/**
 * Why a declaration is no CSS, by the grammars of css-tree; null where it is. What those do not know yet the browser is
 * asked about.
 */
export function cssProblem(css: string, value: string): string | null {
  const { error } = lexer.matchProperty(css, parsedValue(value) ?? '');
  if (!error || CSS.supports(css, value)) return null;
  return 'syntax' in error && error.syntax
    ? `${css} takes ${error.syntax}, not ${value}.`
    : `There is no property ${css}.`;
}

/** css-tree throws where brackets or quotes do not close. */
function parsedValue(value: string) {
  try {
    return parse(value, { context: 'value' });
  } catch {
    return null;
  }
}
