import { isWellFormed, LIMITS } from '../limits/index.ts';
import { isId } from '../values/index.ts';
import type { Content } from './records.ts';

export type LinkTarget =
  | { type: 'page'; page: string }
  | { type: 'section'; page: string; section: string }
  | { type: 'url'; href: string }
  | { type: 'mail'; address: string }
  | { type: 'phone'; number: string }
  /** One of the site's files, to be taken home. */
  | { type: 'file'; asset: string };

export interface TextRun {
  text: string;
  strong?: true;
  emphasis?: true;
  code?: true;
  marked?: true;
  link?: LinkTarget;
}
/** Paragraphs of runs; one value, so that a later writer replaces the whole of it. */
export type RichText = readonly (readonly TextRun[])[];

/** An address that leads away. Only http and https: anything else could run in the reader's page. */
export function readHref(text: string): string | null {
  if (text.length > LIMITS.typed.value) return null;
  const trimmed = text.trim();
  if (!/^https?:\/\//i.test(trimmed) || /[\s<>"\\^`{|}]/.test(trimmed)) return null;
  return trimmed;
}

const isObject = (it: unknown): it is Record<string, unknown> =>
  typeof it === 'object' && it !== null && !Array.isArray(it);

export function readLink(it: unknown): LinkTarget | null {
  if (!isObject(it)) return null;
  switch (it.type) {
    case 'page':
      return isId(it.page) ? { type: 'page', page: it.page } : null;
    case 'section':
      return isId(it.page) && isId(it.section)
        ? { type: 'section', page: it.page, section: it.section }
        : null;
    case 'url': {
      const href = typeof it.href === 'string' ? readHref(it.href) : null;
      return href === null ? null : { type: 'url', href };
    }
    case 'mail':
      return typeof it.address === 'string' &&
        it.address.length < 255 &&
        /^[^\s<>"'&?]+@[^\s<>"'&?]+$/.test(it.address)
        ? { type: 'mail', address: it.address }
        : null;
    case 'phone':
      return typeof it.number === 'string' && /^\+?[0-9 ()-]{3,30}$/.test(it.number)
        ? { type: 'phone', number: it.number }
        : null;
    case 'file':
      return isId(it.asset) ? { type: 'file', asset: it.asset } : null;
    default:
      return null;
  }
}

/** Reads what a person types into a link field: a web address, a mail address or a telephone number. */
export function parseLink(text: string): LinkTarget | null {
  if (text.length > LIMITS.typed.value) return null;
  const trimmed = text.trim();
  if (/^[^\s:/]+@[^\s/]+$/.test(trimmed)) return readLink({ type: 'mail', address: trimmed });
  if (/^\+?[0-9 ()-]{5,}$/.test(trimmed)) return readLink({ type: 'phone', number: trimmed });
  return readLink({
    type: 'url',
    href: /^[\w-]+(\.[\w-]+)+(\/|$)/.test(trimmed) ? `https://${trimmed}` : trimmed,
  });
}

const MAX_TEXT = 20_000;

export const readPlain = (it: unknown): string | null =>
  typeof it === 'string' && it.length <= MAX_TEXT && isWellFormed(it) ? it : null;

function readRun(it: unknown): TextRun | null {
  if (!isObject(it)) return null;
  const text = readPlain(it.text);
  const link = it.link === undefined ? undefined : readLink(it.link);
  if (text === null || link === null) return null;
  return {
    text,
    ...(it.strong === true && { strong: true }),
    ...(it.emphasis === true && { emphasis: true }),
    ...(it.code === true && { code: true }),
    ...(it.marked === true && { marked: true }),
    ...(link && { link }),
  };
}

export function readRichText(it: unknown): RichText | null {
  if (!Array.isArray(it) || it.length > 500) return null;
  const paragraphs: TextRun[][] = [];
  for (const paragraph of it) {
    if (!Array.isArray(paragraph)) return null;
    const runs = paragraph.map(readRun);
    const good = runs.filter(run => run !== null);
    if (good.length !== runs.length) return null;
    paragraphs.push(good);
  }
  return paragraphs;
}

/** Of what a widget holds, only a rich text is a list. */
export const isRichText = (it: unknown): it is RichText => Array.isArray(it);
export const richText = (...paragraphs: string[]): RichText => paragraphs.map(text => [{ text }]);
export const plainOf = (text: RichText): string =>
  text.map(runs => runs.map(run => run.text).join('')).join('\n');

/** The same value of a content field with other links in it; the very one where none differs. */
export function withLinks(value: Content, other: (link: LinkTarget) => LinkTarget): Content {
  if (!isRichText(value)) {
    const link = readLink(value);
    const next = link && other(link);
    return next === link ? value : next;
  }
  let changed = false;
  const text = value.map(runs =>
    runs.map(run => {
      const link = run.link && other(run.link);
      if (!link || link === run.link) return run;
      changed = true;
      return { ...run, link };
    }),
  );
  return changed ? text : value;
}
