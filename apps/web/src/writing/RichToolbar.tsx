import { type LinkTarget, parseLink, type Site } from '@cove/core';
import type { Editor } from '@tiptap/react';
import { useEditorState } from '@tiptap/react';
import { Bold, Code, Highlighter, ImagePlus, Italic } from 'lucide-react';
import { useRef, useState } from 'react';
import { FileLink } from '../links/FileLink.tsx';
import { linkChoices, targetOf } from '../links/linkChoices.ts';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { hrefOf } from './richText.ts';

interface Props {
  site: Site;
  editor: Editor;
  /** Puts a picture below the paragraph where the cursor stands; null where nothing can stand there. */
  onPicture: (() => void) | null;
}

/** Emphasis, code and links for the words that are selected. */
export function RichToolbar({ site, editor, onPicture }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState(false);
  const asked = useRef<{ ask(): void }>(null);
  const active = useEditorState({
    editor,
    selector: ({ editor: it }) => ({
      bold: it.isActive('bold'),
      italic: it.isActive('italic'),
      code: it.isActive('code'),
      marked: it.isActive('marked'),
      link: it.isActive('link'),
    }),
  });
  const link = (target: LinkTarget) =>
    editor
      .chain()
      .focus()
      .extendMarkRange('link')
      .setLink({ href: hrefOf(target) })
      .run();
  const choose = (value: string) => {
    if (value === 'none') editor.chain().focus().extendMarkRange('link').unsetLink().run();
    else if (value === 'away') setTyped('');
    else if (value === 'file') asked.current?.ask();
    else link(targetOf(value));
  };
  const finish = () => {
    const target = parseLink(typed ?? '');
    setProblem(!target);
    if (!target) return;
    link(target);
    setTyped(null);
  };
  const act = (label: string, on: boolean | undefined, icon: React.ReactNode, run: () => void) => (
    <Button
      aria-label={label}
      aria-pressed={on}
      title={label}
      onClick={run}
      className={`w-7 justify-center px-0! ${on ? 'bg-wash text-teal!' : ''}`}
    >
      {icon}
    </Button>
  );
  return (
    <div>
      <div
        role="toolbar"
        aria-label="Emphasis and links"
        className="flex flex-wrap items-center gap-0.5 pb-1"
      >
        {act('Strong', active.bold, <Bold size={13} />, () => editor.chain().focus().toggleBold().run())}
        {act('Emphasis', active.italic, <Italic size={13} />, () =>
          editor.chain().focus().toggleItalic().run(),
        )}
        {act('Code', active.code, <Code size={13} />, () => editor.chain().focus().toggleCode().run())}
        {act('Marked', active.marked, <Highlighter size={13} />, () =>
          editor.chain().focus().toggleMark('marked').run(),
        )}
        {onPicture && act('A picture below this paragraph', undefined, <ImagePlus size={13} />, onPicture)}
        <ActMenu
          label={active.link ? 'Change the link' : 'Link the selected words'}
          className="min-w-44 flex-1"
          returnFocus={false}
          options={[
            ...linkChoices(site),
            { value: 'file', label: 'A file…' },
            { value: 'away', label: 'Somewhere else…' },
            ...(active.link ? [{ value: 'none', label: 'No link' }] : []),
          ]}
          onChoose={choose}
        />
      </div>
      <FileLink ref={asked} onFile={asset => link({ type: 'file', asset })} />
      {typed !== null && (
        <div className="pb-1">
          <input
            ref={element => element?.focus()}
            aria-label="Address of the link"
            aria-invalid={problem}
            placeholder="https://, a mail address or a telephone number"
            value={typed}
            onChange={event => setTyped(event.target.value)}
            onKeyDown={event => {
              if (event.key === 'Enter') finish();
              if (event.key === 'Escape') setTyped(null);
            }}
            className={`h-7 w-full rounded border bg-paper px-2 ${problem ? 'border-madder' : 'border-hair'}`}
          />
          {problem && (
            <p role="alert" className="text-small text-madder">
              Enter an address that begins with https://, an email address or a phone number.
            </p>
          )}
        </div>
      )}
    </div>
  );
}
