/** Tokens by their ids. */
export type Tokens = ReadonlyMap<Id, TokenRecord>;

import type { TokenType } from '../values/index.ts';
import type { Id, TokenRecord } from './records.ts';

export const slug = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'unnamed';

/** First step of a token's path, which says its type. */
export const ROOT_OF_TYPE: Record<TokenType, string> = {
  color: 'color',
  dimension: 'size',
  number: 'number',
  duration: 'duration',
  cubicBezier: 'easing',
  fontFamily: 'voice',
  shadow: 'shadow',
  gradient: 'gradient',
};

interface Names {
  paths: ReadonlyMap<Id, string>;
  ids: ReadonlyMap<string, Id>;
  /** Ids by a name alone, and by a group and a name. */
  named: ReadonlyMap<string, readonly Id[]>;
}
const cache = new WeakMap<Tokens, Names>();

/** Every token's path, as it is typed, shown and exported: `color.brand.hull`. Equal names get a number. */
function namesOf(tokens: Tokens): Names {
  const known = cache.get(tokens);
  if (known) return known;
  const paths = new Map<Id, string>();
  const ids = new Map<string, Id>();
  const named = new Map<string, Id[]>();
  for (const token of [...tokens.values()].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    const plain = `${ROOT_OF_TYPE[token.type]}.${slug(token.group)}.${slug(token.name)}`;
    let path = plain;
    for (let n = 2; ids.has(path); n++) path = `${plain}-${n}`;
    paths.set(token.id, path);
    ids.set(path, token.id);
    const steps = path.split('.');
    for (const name of [steps.slice(1).join('.'), steps.at(-1) ?? '']) {
      const list = named.get(name);
      if (list) list.push(token.id);
      else named.set(name, [token.id]);
    }
  }
  const names = { paths, ids, named };
  cache.set(tokens, names);
  return names;
}

export const tokenPath = (tokens: Tokens, id: Id): string => namesOf(tokens).paths.get(id) ?? id;
export const tokenAt = (tokens: Tokens, path: string): TokenRecord | undefined =>
  tokens.get(namesOf(tokens).ids.get(path) ?? '');

/** Tokens that a name may mean: a path, `group.name`, or a name alone, in any spelling that comes to the same path. */
export function tokensNamed(tokens: Tokens, text: string): TokenRecord[] {
  const name = text
    .split(/[.›/]/)
    .map(it => it.trim())
    .map(it => (it === '' ? '' : slug(it)))
    .join('.');
  const { ids, named } = namesOf(tokens);
  const exact = ids.get(name);
  return (exact === undefined ? (named.get(name) ?? []) : [exact]).flatMap(id => tokens.get(id) ?? []);
}
