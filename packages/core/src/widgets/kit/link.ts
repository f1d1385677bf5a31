import type { LinkTarget } from '../../site/content.ts';
import { readLink } from '../../site/content.ts';
import type { Content } from '../../site/records.ts';

export const linkOf = (content: Readonly<Record<string, Content>>, field: string): LinkTarget | null =>
  readLink(content[field]);
