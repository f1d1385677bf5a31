import type { RichText } from '@cove/core';
import { EditorContent, useEditor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { useSite } from '../session/context.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { extensions } from '../writing/extensions.ts';
import { RichToolbar } from '../writing/RichToolbar.tsx';
import { fromEditor, toEditor } from '../writing/richText.ts';
import { type After, type End, keysThatEnd } from './cellKeys.ts';

/** The words of one cell while they are written. Enter, Tab and leaving keep them, Escape does not. */
export function CellEditor({
  label,
  value,
  typed,
  onDone,
}: {
  label: string;
  value: RichText;
  /** What was typed on the cell, which takes the place of what it said. */
  typed: string | null;
  /** Null where nothing is to be kept. */
  onDone(words: RichText | null, after: After): void;
}) {
  const site = useSite();
  const done = useLatest(onDone);
  const over = useRef(false);
  const frame = useRef<HTMLDivElement>(null);
  const end = useRef<End>(() => true);
  const editor = useEditor({
    extensions: [...extensions(), keysThatEnd(end)],
    content: toEditor(typed === null ? value : [[{ text: typed }]]),
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        class: 'min-h-7 px-2 py-1 outline-none [&_a]:text-teal [&_a]:underline [&_mark]:bg-wash',
      },
    },
    onBlur: ({ event }) => {
      const { relatedTarget } = event;
      // The bar with emphasis and links belongs to it, and so does the menu that opens from there.
      if (relatedTarget instanceof Element)
        if (frame.current?.contains(relatedTarget) || relatedTarget.closest('[role=menu]')) return;
      end.current('here');
    },
  });
  end.current = (after, keeps = true) => {
    if (!over.current && editor) {
      over.current = true;
      const words = fromEditor(editor.getJSON());
      const isEmpty = words.every(runs => runs.length === 0);
      done.current(keeps ? (isEmpty ? [] : words) : null, after);
    }
    return true;
  };
  // At once, since the next letter may follow within the same moment.
  useLayoutEffect(() => {
    if (!editor) return;
    editor.commands.setTextSelection(Math.max(1, editor.state.doc.content.size - 1));
    editor.view.focus();
  }, [editor]);
  useEffect(
    () => () => {
      end.current('here');
    },
    [],
  );
  return (
    <div
      ref={frame}
      className="absolute top-0 left-0 z-10 min-w-full rounded-sm border border-teal bg-paper shadow-lg"
    >
      <EditorContent editor={editor} />
      {editor && (
        <div className="w-80 border-t border-hair px-1 pt-1">
          <RichToolbar site={site} editor={editor} onPicture={null} />
        </div>
      )}
    </div>
  );
}
