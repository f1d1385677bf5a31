import { type RichText, richText } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { Editor } from '@tiptap/core';
import { extensions } from '../src/writing/extensions.ts';
import { Keeping } from '../src/writing/keeping.ts';
import { fromEditor, toEditor } from '../src/writing/richText.ts';

/** As much of a session as writing asks for. */
const session = {
  seq: 7,
  store: { getState: () => ({ seq: session.seq }) },
  undo: jest.fn(),
  redo: jest.fn(),
};

let kept: [RichText, number][];
let keeping: Keeping;
let editor: Editor;
beforeEach(() => {
  jest.useFakeTimers();
  session.seq = 7;
  session.undo.mockClear();
  kept = [];
  keeping = new Keeping(session, richText('Tea is poured.'), (text, since) => kept.push([text, since]));
  editor = new Editor({
    extensions: [...extensions(), keeping.keys()],
    content: toEditor(richText('Tea is poured.')),
    onUpdate: ({ editor: it }) => keeping.typed(it),
  });
});
afterEach(() => {
  editor.destroy();
  jest.useRealTimers();
});
const now = () => fromEditor(editor.getJSON());
const write = (text: string) => editor.commands.insertContentAt(editor.state.doc.content.size - 1, text);

describe('what is written', () => {
  it('is kept at each pause, as of the moment at which it was begun', () => {
    write(' Then');
    session.seq = 9;
    write(' we sail.');
    expect(kept).toEqual([]);
    jest.advanceTimersByTime(700);
    expect(kept).toEqual([[richText('Tea is poured. Then we sail.'), 7]]);
    write(' Soon.');
    keeping.flush(editor);
    expect(kept.at(-1)).toEqual([richText('Tea is poured. Then we sail. Soon.'), 9]);
    jest.advanceTimersByTime(700);
    expect(kept).toHaveLength(2);
  });
  it('is kept when the page is left in the middle of it', () => {
    write(' Then');
    dispatchEvent(new Event('beforeunload'));
    expect(kept).toEqual([[richText('Tea is poured. Then'), 7]]);
    dispatchEvent(new Event('beforeunload'));
    jest.advanceTimersByTime(700);
    expect(kept).toHaveLength(1);
  });
  it('is not kept where it is what was there', () => {
    write('x');
    editor.commands.deleteRange({
      from: editor.state.doc.content.size - 2,
      to: editor.state.doc.content.size - 1,
    });
    keeping.flush(editor);
    expect(now()).toEqual(richText('Tea is poured.'));
    expect(kept).toEqual([]);
  });
  it('stays while others write, and follows them when nothing is being written', () => {
    keeping.follow(editor, richText('Soup is poured.'));
    expect(now()).toEqual(richText('Soup is poured.'));
    write(' Hot.');
    keeping.follow(editor, richText('Nothing is poured.'));
    expect(now()).toEqual(richText('Soup is poured. Hot.'));
    keeping.flush(editor);
    expect(kept.map(([text]) => text)).toEqual([richText('Soup is poured. Hot.')]);
  });
  it('is kept before the program takes a step back, which is then the step that goes', () => {
    write(' Then we sail.');
    session.undo.mockImplementation(() => keeping.follow(editor, richText('Tea is poured.')));
    editor.commands.keyboardShortcut('Mod-z');
    expect(kept.map(([text]) => text)).toEqual([richText('Tea is poured. Then we sail.')]);
    expect(session.undo).toHaveBeenCalledTimes(1);
    expect(now()).toEqual(richText('Tea is poured.'));
    jest.advanceTimersByTime(700);
    expect(kept).toHaveLength(1);
  });
});
