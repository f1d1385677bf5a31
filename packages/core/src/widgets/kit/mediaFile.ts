import type { Content } from '../../content/index.ts';
import { linkOf } from './link.ts';
import type { MarkupContext } from './markup.ts';

/** Address of a file of the site that a field names, empty where nothing is loaded; null where it names none. */
export function fileIn(
  content: Readonly<Record<string, Content>>,
  field: string,
  context: MarkupContext,
): string | null {
  const link = linkOf(content, field);
  const href = link?.type === 'file' ? context.href(link) : null;
  // Where links lead nowhere, nothing is played either.
  return href === '#' ? '' : href;
}
