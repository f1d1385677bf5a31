import { type Extensions, mergeAttributes, Node } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import { Marked } from './marked.ts';
import { linkOf } from './richText.ts';

type Attributes = Readonly<Record<string, string>>;

/** What paragraphs and words are on the page, where they are written there: their tag and what it bears. */
export interface OnPage {
  paragraph: { tag: string; attributes: Attributes };
  link: Attributes;
  code: Attributes;
  marked: Attributes;
}

/** What is pasted keeps what this schema knows, and loses the rest: styles, sizes, colours, pictures. */
export function extensions(page: OnPage | null = null): Extensions {
  const { tag, attributes } = page?.paragraph ?? { tag: 'p', attributes: {} };
  const looks = (attributes: Attributes | undefined) => (attributes ? { HTMLAttributes: attributes } : {});
  return [
    Marked.configure(looks(page?.marked)),
    Node.create({
      name: 'paragraph',
      group: 'block',
      content: 'inline*',
      parseHTML: () => [{ tag: 'p' }],
      renderHTML: ({ HTMLAttributes }) => [tag, mergeAttributes(attributes, HTMLAttributes), 0],
    }),
    StarterKit.configure({
      paragraph: false,
      heading: false,
      blockquote: false,
      bulletList: false,
      orderedList: false,
      listItem: false,
      codeBlock: false,
      horizontalRule: false,
      hardBreak: false,
      strike: false,
      underline: false,
      // Steps are those of the program, wherever they were made.
      undoRedo: false,
      trailingNode: false,
      code: looks(page?.code),
      link: {
        ...looks(page?.link),
        openOnClick: false,
        autolink: false,
        protocols: ['cove'],
        isAllowedUri: uri => linkOf(uri) !== null,
      },
    }),
  ];
}
