import type { ContentType } from '../contentType.ts';
import { printLink, readLink } from '../link.ts';
import { linkReferences } from '../linkReferences.ts';

/** Where something leads. */
export interface LinkField {
  type: 'link';
  label: string;
  /** It names a file of the site, and nothing else. */
  files?: true;
}

export const link: ContentType<LinkField> = {
  read: it => (it === null ? null : (readLink(it) ?? undefined)),
  expected: () => 'a link to a page, an http(s) address, a mail address or a telephone number',
  isEmpty: value => readLink(value) === null,
  print: value => printLink(readLink(value)),
  references(value) {
    const target = readLink(value);
    return target ? linkReferences(target) : [];
  },
  mapped(value, mapping) {
    const target = readLink(value);
    if (!target) return value;
    const other = mapping.link(target);
    return other === target ? value : other;
  },
};
