import { type LinkTarget, parseLink, type RichText, type TextRun } from '@cove/core';
import type { JSONContent } from '@tiptap/core';

/** A link as the editor keeps it: our own target, written as JSON in its address. */
export const hrefOf = (link: LinkTarget): string =>
  link.type === 'url' ? link.href : `cove:${JSON.stringify(link)}`;

export function linkOf(href: unknown): LinkTarget | null {
  if (typeof href !== 'string') return null;
  if (!href.startsWith('cove:')) return parseLink(href);
  const target: LinkTarget = JSON.parse(href.slice(5));
  return target;
}

const MARKS = { bold: 'strong', italic: 'emphasis', code: 'code', marked: 'marked' } as const;

export function toEditor(text: RichText): JSONContent {
  const node = (run: TextRun): JSONContent => ({
    type: 'text',
    text: run.text,
    marks: [
      ...Object.entries(MARKS).flatMap(([type, flag]) => (run[flag] ? [{ type }] : [])),
      ...(run.link ? [{ type: 'link', attrs: { href: hrefOf(run.link) } }] : []),
    ],
  });
  return {
    type: 'doc',
    content: text.map(runs => ({
      type: 'paragraph',
      content: runs.filter(run => run.text !== '').map(node),
    })),
  };
}

export function fromEditor(doc: JSONContent): RichText {
  return (doc.content ?? []).map(paragraph =>
    (paragraph.content ?? []).flatMap((node): TextRun[] => {
      if (node.type !== 'text' || node.text === undefined) return [];
      const has = (type: string) => node.marks?.some(mark => mark.type === type);
      const link = linkOf(node.marks?.find(mark => mark.type === 'link')?.attrs?.href);
      return [
        {
          text: node.text,
          ...(has('bold') && { strong: true }),
          ...(has('italic') && { emphasis: true }),
          ...(has('code') && { code: true }),
          ...(has('marked') && { marked: true }),
          ...(link && { link }),
        },
      ];
    }),
  );
}
