import { type LinkTarget, parseLink, type RichText, type TextRun } from '@cove/core';
import { type Editor, EditorContent, type JSONContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useRef } from 'react';
import { useSession, useSite } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { Marked } from './marked.ts';
import { RichToolbar } from './RichToolbar.tsx';

/** A link as the editor keeps it: our own target, written as JSON in its address. */
const hrefOf = (link: LinkTarget): string =>
  link.type === 'url' ? link.href : `cove:${JSON.stringify(link)}`;

function linkOf(href: unknown): LinkTarget | null {
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

/** What is pasted keeps what this schema knows, and loses the rest: styles, sizes, colours, pictures. */
export const EXTENSIONS = [
  Marked,
  StarterKit.configure({
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
    undoRedo: false,
    trailingNode: false,
    link: {
      openOnClick: false,
      autolink: false,
      protocols: ['cove'],
      isAllowedUri: uri => linkOf(uri) !== null,
    },
  }),
];

/** Text with emphasis, code and links; each pause in typing is one step of undo. */
export function RichField({
  label,
  value,
  askedFor,
  onChange,
  onPicture,
}: {
  label: string;
  value: RichText;
  /** Takes the focus whenever this grows. */
  askedFor: number;
  /** `since` is the number of the last change that was seen when the writing began. */
  onChange(value: RichText, since: number): void;
  /** Asks for a picture before the paragraph of a number, once what was written is kept. */
  onPicture: ((before: number) => void) | null;
}) {
  const site = useSite();
  const session = useSession();
  const locked = useLocked();
  /** Number of the last change seen when what is not written down yet was begun; null where all is. */
  const begun = useRef<number | null>(null);
  const written = useRef(JSON.stringify(value));
  const asked = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const change = useRef(onChange);
  change.current = onChange;
  const flush = (editor: Editor) => {
    clearTimeout(timer.current);
    const since = begun.current ?? session.store.getState().seq;
    begun.current = null;
    const text = fromEditor(editor.getJSON());
    if (JSON.stringify(text) === written.current) return;
    written.current = JSON.stringify(text);
    change.current(text, since);
  };
  const editor = useEditor({
    extensions: EXTENSIONS,
    content: toEditor(value),
    editable: !locked,
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        class:
          'min-h-16 rounded border border-hair bg-paper px-2 py-1 [&_a]:text-teal [&_a]:underline [&_mark]:bg-wash [&_mark]:text-ink [&_p]:mb-1',
      },
    },
    onUpdate: ({ editor: it }) => {
      begun.current ??= session.store.getState().seq;
      clearTimeout(timer.current);
      timer.current = setTimeout(() => flush(it), 600);
    },
    onBlur: ({ editor: it }) => flush(it),
  });
  useEffect(() => {
    const text = JSON.stringify(value);
    // Words that are being written stay; once they are written down, the later of the two holds and the other is told.
    if (!editor || text === written.current || begun.current !== null) return;
    written.current = text;
    editor.commands.setContent(toEditor(value), { emitUpdate: false });
  }, [editor, value]);
  useEffect(() => {
    if (!editor || askedFor === asked.current) return;
    asked.current = askedFor;
    editor.commands.focus('end');
  }, [editor, askedFor]);
  return (
    <div>
      <p className="label-line mb-0.5">{label}</p>
      {editor && !locked && (
        <RichToolbar
          site={site}
          editor={editor}
          hrefOf={hrefOf}
          onPicture={
            onPicture &&
            (() => {
              flush(editor);
              onPicture(editor.state.selection.$to.index(0) + 1);
            })
          }
        />
      )}
      <EditorContent editor={editor} />
    </div>
  );
}
