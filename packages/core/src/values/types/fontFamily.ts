import { LIMITS } from '../../limits/index.ts';
import { fallbackNames } from '../../type/faces.ts';
import { splitTop } from '../brackets.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

/** Families of one stack. */
export const LONGEST_STACK = 12;

/** A family name as typed: letters, digits, spaces and what names hold; nothing that could end a CSS string in double quotes. */
const FAMILY = /^[\p{L}\p{N}][\p{L}\p{N} _.,+&'’-]{0,63}$/u;
/** Without quotes, an apostrophe would begin a string, and a comma ends a name. */
const BARE = /^[^',]*$/;

const GENERIC = new Set([
  'serif',
  'sans-serif',
  'monospace',
  'cursive',
  'system-ui',
  'ui-serif',
  'ui-sans-serif',
  'ui-monospace',
]);

/** Quoted and escaped as CSS Syntax 3 has strings, whatever the name holds. */
const printFamily = (name: string) =>
  GENERIC.has(name) ? name : `"${name.replace(/["\\\n\r\f]/g, c => `\\${c.charCodeAt(0).toString(16)} `)}"`;

export function parseFamilies(source: string): ValueOf<'fontFamily'> | null {
  if (source.length > LIMITS.typed.value) return null;
  const written = splitTop(source, /,/);
  const names = written.map(name => name.replace(/^(["'])(.*)\1$/, '$2').trim());
  return names.length > 0 &&
    names.every((name, i) => FAMILY.test(name) && (BARE.test(name) || name !== written[i]))
    ? { type: 'fontFamily', value: names }
    : null;
}

export const fontFamily: LiteralKind<ValueOf<'fontFamily'>> = {
  read({ value }) {
    if (!Array.isArray(value) || value.length === 0 || value.length > LONGEST_STACK) return null;
    const names = value.flatMap(name =>
      typeof name === 'string' && FAMILY.test(name.trim()) ? [name.trim()] : [],
    );
    return names.length === value.length ? { type: 'fontFamily', value: names } : null;
  },
  parse: parseFamilies,
  print: ({ value }) =>
    value
      .flatMap(name =>
        GENERIC.has(name) ? [name] : [printFamily(name), ...fallbackNames(name).map(printFamily)],
      )
      .join(', '),
  typed: ({ value }) => value.map(name => (BARE.test(name) ? name : `"${name}"`)).join(', '),
  isLoose: () => true,
};
