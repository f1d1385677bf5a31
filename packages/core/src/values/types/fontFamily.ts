import { LIMITS } from '../../limits/index.ts';
import { fallbackNames } from '../../type/faces.ts';
import { splitTop } from '../brackets.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

/** Families of one stack. */
const MOST_FAMILIES = 12;

/** A family name as typed: letters, digits, spaces and hyphens; nothing that could end a CSS string. */
const FAMILY = /^[\p{L}\p{N}][\p{L}\p{N} _-]{0,63}$/u;

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
  const names = splitTop(source, /,/).map(name => name.replace(/^(["'])(.*)\1$/, '$2').trim());
  return names.length > 0 && names.every(name => FAMILY.test(name))
    ? { type: 'fontFamily', value: names }
    : null;
}

export const fontFamily: LiteralKind<ValueOf<'fontFamily'>> = {
  read({ value }) {
    if (!Array.isArray(value) || value.length > MOST_FAMILIES) return null;
    return value.every(name => typeof name === 'string') ? parseFamilies(value.join(',')) : null;
  },
  parse: parseFamilies,
  print: ({ value }) =>
    value
      .flatMap(name =>
        GENERIC.has(name) ? [name] : [printFamily(name), ...fallbackNames(name).map(printFamily)],
      )
      .join(', '),
  typed: ({ value }) => value.join(', '),
  isLoose: () => true,
};
