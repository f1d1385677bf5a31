import type { Id, RichText } from '@cove/core';
import { Editor, Extension } from '@tiptap/core';
import { extensions, type OnPage } from './extensions.ts';
import { Keeping } from './keeping.ts';
import { writingOnPage } from './onPage.ts';
import { fromEditor, toEditor } from './richText.ts';

export { Keeping };

/** The classes of parts of words, as the page bears them. */
type Classes = Readonly<Record<'link' | 'code' | 'marked', string>>;

/** Where on the page words are written: what holds their paragraphs and nothing else, and what these are there. */
export interface WritingPlace {
  holder: HTMLElement;
  paragraph: OnPage['paragraph'];
}

const attributesOf = (element: Element): Record<string, string> =>
  Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value]));

/** Among paragraphs: their parent, or an element put around them that lays them out as that does. */
export function amongParagraphs(block: HTMLElement): WritingPlace {
  const paragraph = { tag: block.tagName.toLowerCase(), attributes: attributesOf(block) };
  const parent = block.parentElement ?? block.ownerDocument.body;
  const part = block.getAttribute('data-part');
  const blocks = [...parent.children].filter(it => it.getAttribute('data-part') === part);
  if (blocks.length === parent.children.length) return { holder: parent, paragraph };
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
  return { holder, paragraph };
}

/** In an element that holds words alone, a line for each paragraph. */
export function within(element: HTMLElement): WritingPlace {
  element.replaceChildren();
  return { holder: element, paragraph: { tag: 'span', attributes: { style: 'display:block' } } };
}

/** Keys that mean something else than in other text, by name; each says whether it did anything. */
export type WritingKeys = Readonly<Record<string, (words: Written) => boolean>>;

/** What is written, as a key or the clipboard finds it. */
export interface Written {
  /** The words before and behind what is selected. */
  parted(): { before: RichText; behind: RichText };
  /** Characters before what is selected. */
  offset(): number;
  /** Whether anything is selected. */
  isSelected(): boolean;
  /** Ends the writing and keeps nothing more: whoever ends it has taken the words. */
  leave(): void;
  /** Ends it and keeps what was written. */
  end(): void;
}

const lengthOf = (text: RichText): number =>
  text.reduce((sum, runs) => sum + runs.reduce((all, run) => all + run.text.length, 0), 0);

/** The end of the last paragraph. */
const endOf = ({ state }: Editor): number => Math.max(1, state.doc.content.size - 1);

/** The place in a document of an editor behind so many characters. */
function posOf(editor: Editor, offset: number): number {
  let left = offset;
  let found = endOf(editor);
  editor.state.doc.descendants((node, pos) => {
    if (left < 0 || !node.isText) return left >= 0;
    if (left <= node.nodeSize) {
      found = pos + left;
      left = -1;
    } else left -= node.nodeSize;
    return false;
  });
  return found;
}

/** What is selected, as the browser has it: an editor hears of it only after the key that comes right behind. */
function selectedIn({ state, view }: Editor): readonly [from: number, to: number] {
  const { from, to } = state.selection;
  const selection = view.dom.ownerDocument.getSelection();
  const ends = [
    [selection?.anchorNode, selection?.anchorOffset ?? 0],
    [selection?.focusNode, selection?.focusOffset ?? 0],
  ] as const;
  const places = ends.flatMap(([node, offset]) =>
    node && view.dom.contains(node) ? [view.posAtDOM(node, offset)] : [],
  );
  const [one = from, other = to] = places.length === 2 ? places : [];
  return [Math.min(one, other), Math.max(one, other)];
}

/**
 * Writes a rich text where it stands on the page, in the looks it has there. `at` is the point where the cursor is asked for,
 * or the number of characters before it. Answers what ends it; what was written is kept as in any field.
 */
export function writeOnPage({
  node,
  place: { holder, paragraph },
  classes,
  label,
  value,
  keeping,
  at,
  keys = {},
  onPaste,
  onWritten,
  onEnd,
}: {
  node: Id;
  place: WritingPlace;
  classes: Classes;
  label: string;
  value: RichText;
  keeping: Keeping;
  at: { left: number; top: number } | number;
  keys?: WritingKeys;
  /** Takes several lines off the clipboard; false for what is pasted as in any text. */
  onPaste?(text: string, words: Written): boolean;
  onWritten(): void;
  onEnd(): void;
}): () => void {
  const bears = (part: keyof Classes) => ({ class: classes[part], 'data-part': part, 'data-node': node });
  const page: OnPage = { paragraph, link: bears('link'), code: bears('code'), marked: bears('marked') };
  let ended = false;
  const end = (keeps: boolean) => {
    if (ended) return;
    ended = true;
    if (keeps) keeping.flush(editor);
    else keeping.leave();
    if (writingOnPage.getState().at?.editor === editor) writingOnPage.setState({ at: null });
    editor.destroy();
    onEnd();
  };
  const words: Written = {
    parted() {
      const { doc } = editor.state;
      const [from, to] = selectedIn(editor);
      return { before: fromEditor(doc.cut(0, from).toJSON()), behind: fromEditor(doc.cut(to).toJSON()) };
    },
    offset: () => lengthOf(words.parted().before),
    isSelected() {
      const [from, to] = selectedIn(editor);
      return from !== to;
    },
    leave: () => end(false),
    end: () => end(true),
  };
  const own = Extension.create({
    name: 'programKeys',
    priority: 1000,
    addKeyboardShortcuts: () =>
      Object.fromEntries(Object.entries(keys).map(([key, act]) => [key, () => act(words)])),
  });
  const editor = new Editor({
    element: { mount: holder },
    // Its own sheet would go to the document of the program.
    injectCSS: false,
    extensions: [...extensions(page), keeping.keys(), own],
    content: toEditor(value),
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        style: `${holder.getAttribute('style') ?? ''};white-space:break-spaces;outline:none`,
      },
      handlePaste: (_, event) => onPaste?.(event.clipboardData?.getData('text/plain') ?? '', words) ?? false,
    },
    onUpdate: ({ editor: it }) => {
      keeping.typed(it);
      onWritten();
    },
    onBlur: ({ editor: it }) => {
      if (!ended) keeping.flush(it);
    },
  });
  const there = typeof at === 'number' ? posOf(editor, at) : editor.view.posAtCoords(at)?.pos;
  // At once, and not with the next frame: the next key may come before that.
  editor.commands.setTextSelection(there ?? endOf(editor));
  editor.view.focus();
  writingOnPage.setState({ at: { node, editor } });
  holder.addEventListener('keydown', event => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    end(true);
  });
  return () => end(true);
}
