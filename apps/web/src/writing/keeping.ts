import type { RichText } from '@cove/core';
import { type Editor, Extension } from '@tiptap/core';
import { fromEditor, toEditor } from './richText.ts';

/** How long, in ms, a pause in writing is after which it is kept. */
const PAUSE = 600;

/** As much of a session as writing asks for. */
interface Around {
  store: { getState(): { seq: number } };
  undo(): void;
  redo(): void;
}

/** Keeps what is written in an editor, a step of undo for each pause, and follows what becomes of it elsewhere. */
export class Keeping {
  /** Number of the last change seen when what is not kept yet was begun; null where all is. */
  private begun: number | null = null;
  private written: string;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Keeps what was written last when the page is left. */
  private leaving: (() => void) | null = null;

  /** `keep` is told the number of the last change that was seen when the writing began. */
  constructor(
    private readonly session: Around,
    value: RichText,
    private readonly keep: (text: RichText, since: number) => void,
  ) {
    this.written = JSON.stringify(value);
  }

  /** Something was written. */
  typed(editor: Editor): void {
    this.begun ??= this.session.store.getState().seq;
    if (!this.leaving) {
      this.leaving = () => this.flush(editor);
      addEventListener('beforeunload', this.leaving);
    }
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.flush(editor), PAUSE);
  }

  /** Keeps at once what is not kept yet. */
  flush(editor: Editor): void {
    const since = this.begun ?? this.session.store.getState().seq;
    this.leave();
    const text = fromEditor(editor.getJSON());
    if (JSON.stringify(text) === this.written) return;
    this.written = JSON.stringify(text);
    this.keep(text, since);
  }

  /** Keeps nothing more: somebody else has taken what was written. */
  leave(): void {
    clearTimeout(this.timer);
    if (this.leaving) removeEventListener('beforeunload', this.leaving);
    this.leaving = null;
    this.begun = null;
  }

  /**
   * The value is another one, by somebody else or by undo. Words that are being written stay; once they are kept, the later
   * of the two holds and the other is told.
   */
  follow(editor: Editor, value: RichText): void {
    const text = JSON.stringify(value);
    if (text === this.written || this.begun !== null) return;
    this.written = text;
    const { from } = editor.state.selection;
    editor.commands.setContent(toEditor(value), { emitUpdate: false });
    editor.commands.setTextSelection(Math.min(from, editor.state.doc.content.size));
  }

  /** Undo and redo are the program's: what was written last is kept first, so that it is the step that goes. */
  keys(): Extension {
    const turn = (editor: Editor, way: 'undo' | 'redo') => {
      this.flush(editor);
      this.session[way]();
      return true;
    };
    return Extension.create({
      name: 'programUndo',
      addKeyboardShortcuts: () => ({
        'Mod-z': ({ editor }) => turn(editor, 'undo'),
        'Mod-y': ({ editor }) => turn(editor, 'redo'),
        'Mod-Shift-z': ({ editor }) => turn(editor, 'redo'),
      }),
    });
  }
}
