import type { Id, RichText } from '@cove/core';
import { EditorContent, useEditor } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { useSession, useSite } from '../session/context.tsx';
import { useLocked } from '../ui/locked.ts';
import { useLatest } from '../ui/useLatest.ts';
import { extensions } from './extensions.ts';
import { Keeping } from './keeping.ts';
import { writingOnPage } from './onPage.ts';
import { RichToolbar } from './RichToolbar.tsx';
import { toEditor } from './richText.ts';

/** Text with emphasis, code and links; each pause in typing is one step of undo. */
export function RichField({
  node,
  label,
  value,
  askedFor,
  onChange,
  onPicture,
}: {
  /** Whose words they are. */
  node: Id;
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
  const asked = useRef(0);
  const change = useLatest(onChange);
  const [keeping] = useState(() => new Keeping(session, value, (text, since) => change.current(text, since)));
  const editor = useEditor({
    extensions: [...extensions(), keeping.keys()],
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
    onUpdate: ({ editor: it }) => keeping.typed(it),
    onBlur: ({ editor: it }) => keeping.flush(it),
  });
  useEffect(() => {
    if (editor) keeping.follow(editor, value);
  }, [editor, keeping, value]);
  useEffect(() => {
    if (!editor || askedFor === asked.current) return;
    asked.current = askedFor;
    editor.commands.focus('end');
  }, [editor, askedFor]);
  const onPage = useStore(writingOnPage, ({ at }) => (at?.node === node ? at.editor : null));
  const written = onPage ?? editor;
  return (
    <div>
      <p className="label-line mb-0.5">{label}</p>
      {written && !locked && (
        <RichToolbar
          key={onPage ? 'page' : 'bench'}
          site={site}
          editor={written}
          onPicture={
            onPicture &&
            (() => {
              // Where they are written on the page, whoever writes them there keeps them as the focus leaves.
              if (editor && !onPage) keeping.flush(editor);
              onPicture(written.state.selection.$to.index(0) + 1);
            })
          }
        />
      )}
      {onPage ? (
        <p className="text-muted">Edited on the page. Press Escape to finish.</p>
      ) : (
        <EditorContent editor={editor} />
      )}
    </div>
  );
}
