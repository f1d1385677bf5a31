import type { ContentType } from '../contentType.ts';
import { linkReferences } from '../linkReferences.ts';
import { isRichText, linksIn, plainOf, readRichText, withTextLinks } from '../richText.ts';

/** Paragraphs with emphasis and links. */
export interface RichField {
  type: 'rich';
  label: string;
  /** Other things can be put between its paragraphs, which makes two of it. */
  parts?: true;
}

export const rich: ContentType<RichField> = {
  read: it => readRichText(it) ?? undefined,
  expected: () => 'paragraphs of text',
  isEmpty: value => !isRichText(value) || plainOf(value).trim() === '',
  print: value => (isRichText(value) ? plainOf(value) : ''),
  references: value => (isRichText(value) ? linksIn(value).flatMap(linkReferences) : []),
  mapped: (value, { link }) => (isRichText(value) ? withTextLinks(value, link) : value),
};
