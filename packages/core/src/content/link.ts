import { LIMITS } from '../limits/index.ts';
import { isId } from '../values/index.ts';
import { isObject } from '../values/json.ts';

export type LinkTarget =
  | { type: 'page'; page: string }
  | { type: 'section'; page: string; section: string }
  | { type: 'url'; href: string }
  | { type: 'mail'; address: string }
  | { type: 'phone'; number: string }
  /** One of the site's files, to be taken home. */
  | { type: 'file'; asset: string };

/** An address that leads away. Only http and https: anything else could run in the reader's page. */
export function readHref(text: string): string | null {
  if (text.length > LIMITS.typed.value) return null;
  const trimmed = text.trim();
  if (!/^https?:\/\//i.test(trimmed) || /[\s<>"\\^`{|}]/.test(trimmed)) return null;
  return trimmed;
}

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

/** A link as it is typed; nothing for one that leads to a place of the site, which is chosen. */
export const printLink = (link: LinkTarget | null): string => {
  switch (link?.type) {
    case 'url':
      return link.href;
    case 'mail':
      return link.address;
    case 'phone':
      return link.number;
    default:
      return '';
  }
};
