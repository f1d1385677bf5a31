import type { Draft, DraftScheme } from './draft.ts';

/** Words of a file or context that is what holds where nothing else is said. */
const USUAL = /(?:^|[^a-z])(?:light|default|base|global|core|root|day)(?:[^a-z]|$)/i;
export const isUsual = (name: string): boolean => USUAL.test(name);

/** `theme-dark` → `Dark`. */
export function contextName(name: string): string {
  const words = name
    .replace(/^.*\//, '')
    .replace(/\.(?:tokens\.)?json$/i, '')
    .replace(/^(?:theme|mode|scheme|color|is)[-_.]+|[-_.]+(?:theme|mode|scheme|tokens)$/gi, '')
    .replace(/[-_.\s]+/g, ' ')
    .trim();
  return words.charAt(0).toUpperCase() + words.slice(1).toLowerCase();
}

const step = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');

/** The name that a token has in a context. */
export const nameIn = (context: string, name: string): string => `${name} (${context})`;

/** Tokens as some context has them: beside those of the same names, and referring to one another before those. */
export function inContext(
  drafts: readonly Draft[],
  context: string,
  roles: ReadonlyMap<string, string> = new Map(),
): { drafts: Draft[]; scheme: DraftScheme } {
  const tokens = new Map(drafts.map(({ name }) => [name, nameIn(context, name)]));
  return {
    drafts: drafts.map(it => ({
      ...it,
      key: `${it.key}-${step(context)}`,
      name: nameIn(context, it.name),
      within: tokens,
    })),
    scheme: { name: context, tokens, roles },
  };
}
