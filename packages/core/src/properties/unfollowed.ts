import { ALLOWED_DECLARATIONS } from './allowedDeclarations.ts';
import { PROPERTIES } from './index.ts';

const FOLLOWED = new Set(PROPERTIES.map(row => row.css));
/** Shorthands of properties that are followed: they would alter those without a trace. */
const SHORTHANDS = new Set(
  PROPERTIES.flatMap(({ css }) => {
    const steps = css.split('-');
    return steps.slice(1).map((_, i) => steps.slice(0, i + 1).join('-'));
  }),
);
/** Characters of a value: no semicolon, brace, at, angle bracket, backslash or quote, so it cannot leave its place. */
const VALUE = /^[\w\s.,%#()+\-*/]{1,300}$/;

function closes(value: string): boolean {
  let open = 0;
  for (const letter of value) {
    if (letter === '(') open++;
    else if (letter === ')' && --open < 0) return false;
  }
  return open === 0;
}

/** Names of what is followed that share no word with it. */
const OTHER_NAMES = /^(all|(min-|max-)?(inline|block)-size)$/;

/** Whether a name stands for properties that are followed: a shorthand of theirs, or the same by direction of writing. */
const standsForFollowed = (css: string): boolean =>
  OTHER_NAMES.test(css) ||
  SHORTHANDS.has(css) ||
  SHORTHANDS.has(css.replace(/-(inline|block)(-(start|end))?\b/, ''));

/**
 * Why a declaration is not taken; null where it is. Only what is known to stay within its element is; whether a value is CSS
 * is for the one who types it to be told.
 */
export function declarationProblem(css: string, value: string): string | null {
  if (FOLLOWED.has(css)) return `${css} is followed: set it as a property.`;
  if (!ALLOWED_DECLARATIONS.has(css)) {
    if (!/^[a-z]+(-[a-z]+)*$/.test(css)) return 'Custom properties and those of one browser are not taken.';
    return standsForFollowed(css)
      ? `${css} is another name for properties that are followed. Set those.`
      : `${css} could reach outside the element, or is none that can be set here.`;
  }
  if (!VALUE.test(value) || /\/\*|\*\//.test(value) || !closes(value))
    return 'A value holds letters, digits, spaces and , . % # + - * / only, and brackets that close.';
  if (/\b(url|image|image-set|expression|attr|src)\s*\(/i.test(value))
    return 'A value loads nothing from elsewhere.';
  return null;
}
