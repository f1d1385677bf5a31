import type { ContentReference } from './contentType.ts';
import type { LinkTarget } from './link.ts';

/** The records that a link leads to. */
export function linkReferences(link: LinkTarget): ContentReference[] {
  switch (link.type) {
    case 'page':
      return [{ to: link.page, kinds: ['page'] }];
    case 'section':
      return [
        { to: link.page, kinds: ['page'] },
        { to: link.section, kinds: ['section'] },
      ];
    case 'file':
      return [{ to: link.asset, kinds: ['asset'] }];
    default:
      return [];
  }
}
