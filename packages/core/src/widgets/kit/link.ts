import { type Content, type LinkTarget, readLink } from '../../content/index.ts';

export const linkOf = (content: Readonly<Record<string, Content>>, field: string): LinkTarget | null =>
  readLink(content[field]);
