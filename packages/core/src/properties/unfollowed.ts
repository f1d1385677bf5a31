import { PROPERTIES } from './index.ts';

const FOLLOWED = new Set(PROPERTIES.map(row => row.css));
/** Shorthands of properties that are followed: they would alter those without a trace. */
const SHORTHANDS = new Set(
  PROPERTIES.flatMap(({ css }) => {
    const steps = css.split('-');
    return steps.slice(1).map((_, i) => steps.slice(0, i + 1).join('-'));
  }),
);
/** Names of the same by direction of writing, and shorthands whose longhands are named otherwise. */
const OTHER_NAMES =
  /^(all|gap|grid|grid-template|place-(items|content|self)|(min-|max-)?(inline|block)-size|(border|margin|padding|inset|overflow)-(inline|block)(-.+)?|border-(start|end)-(start|end)-radius|white-space|text-wrap|text-decoration|list-style)$/;
/** What could move it over others, push them aside, or be found by them. */
const REACHES_OUT =
  /^(position(-.+)?|z-index|top|right|bottom|left|inset(-.+)?|transform|scale|rotate|zoom|perspective|offset(-.+)?|anchor-.+|view-transition-.+|container(-.+)?|counter-.+|contain(-.+)?|content-visibility|will-change)$/;

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

/** Why a declaration is not taken; null where it is. Whether a value is CSS is for the one who types it to be told. */
export function declarationProblem(css: string, value: string): string | null {
  if (FOLLOWED.has(css)) return `${css} is followed: set it as a property.`;
  if (SHORTHANDS.has(css) || OTHER_NAMES.test(css))
    return `${css} is another name for properties that are followed. Set those.`;
  if (!/^[a-z]+(-[a-z]+)*$/.test(css)) return 'Custom properties and those of one browser are not taken.';
  if (!VALUE.test(value) || /\/\*|\*\//.test(value) || !closes(value))
    return 'A value holds letters, digits, spaces and , . % # + - * / only, and brackets that close.';
  if (/\b(url|image|image-set|expression|attr|src)\s*\(/i.test(value))
    return 'A value loads nothing from elsewhere.';
  if (REACHES_OUT.test(css)) return `${css} could reach outside the element.`;
  return null;
}
