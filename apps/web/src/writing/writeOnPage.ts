import type { Id, RichText } from '@cove/core';
import { Editor } from '@tiptap/core';
import { extensions, type OnPage } from './extensions.ts';
import { Keeping } from './keeping.ts';
import { writingOnPage } from './onPage.ts';
import { toEditor } from './richText.ts';

export { Keeping };

/** The classes of parts of words, as the page bears them. */
type Classes = Readonly<Record<'link' | 'code' | 'marked', string>>;

const attributesOf = (element: Element): Record<string, string> =>
  Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value]));

/** What holds the paragraphs and nothing else: their parent, or an element put around them that lays them out as that does. */
function holderOf(block: HTMLElement): HTMLElement {
  const parent = block.parentElement ?? block.ownerDocument.body;
  const part = block.getAttribute('data-part');
  const blocks = [...parent.children].filter(it => it.getAttribute('data-part') === part);
  if (blocks.length === parent.children.length) return parent;
  const holder = block.ownerDocument.createElement('div');
  const style = block.ownerDocument.defaultView?.getComputedStyle(parent);
  if (style?.display === 'flex')
    Object.assign(holder.style, {
      display: 'flex',
      flexDirection: style.flexDirection,
      rowGap: style.rowGap,
    });
  blocks[0]?.before(holder);
  holder.append(...blocks);
  return holder;
}

/**
 * Writes a rich text where it stands on the page, in the looks it has there. `block` is one of its paragraphs, `at` the point
 * where the cursor is asked for. Answers what ends it; what was written is kept as in any field.
 */
export function writeOnPage({
  node,
  block,
  classes,
  label,
  value,
  keeping,
  at,
  onWritten,
  onEnd,
}: {
  node: Id;
  block: HTMLElement;
  classes: Classes;
  label: string;
  value: RichText;
  keeping: Keeping;
  at: { left: number; top: number };
  onWritten(): void;
  onEnd(): void;
}): () => void {
  const tag = block.tagName.toLowerCase();
  const paragraph = { tag, attributes: attributesOf(block) };
  const bears = (part: keyof Classes) => ({ class: classes[part], 'data-part': part, 'data-node': node });
  const page: OnPage = { paragraph, link: bears('link'), code: bears('code'), marked: bears('marked') };
  const holder = holderOf(block);
  const editor = new Editor({
    element: { mount: holder },
    // Its own sheet would go to the document of the program.
    injectCSS: false,
    extensions: [...extensions(page), keeping.keys()],
    content: toEditor(value),
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        style: `${holder.getAttribute('style') ?? ''};white-space:break-spaces;outline:none`,
      },
    },
    onUpdate: ({ editor: it }) => {
      keeping.typed(it);
      onWritten();
    },
    onBlur: ({ editor: it }) => keeping.flush(it),
  });
  const there = editor.view.posAtCoords(at);
  editor.commands.focus(there?.pos ?? 'end', { scrollIntoView: false });
  writingOnPage.setState({ at: { node, editor } });
  let ended = false;
  const end = () => {
    if (ended) return;
    ended = true;
    keeping.flush(editor);
    if (writingOnPage.getState().at?.editor === editor) writingOnPage.setState({ at: null });
    editor.destroy();
    onEnd();
  };
  holder.addEventListener('keydown', event => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    end();
  });
  return end;
}
