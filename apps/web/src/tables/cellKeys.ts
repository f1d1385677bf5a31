import { Extension } from '@tiptap/core';

/** Where the writing goes on once a cell is done. */
export type After = 'here' | 'below' | 'next' | 'before';

/** Ends the writing of a cell, and keeps what was written or not. */
export type End = (after: After, keeps?: boolean) => true;

const ENDING: readonly (readonly [key: string, after: After, keeps: boolean])[] = [
  ['Enter', 'below', true],
  ['Tab', 'next', true],
  ['Shift-Tab', 'before', true],
  ['Escape', 'here', false],
];

/** Keys that end the writing of a cell. */
export const keysThatEnd = (end: { readonly current: End }) =>
  Extension.create({
    name: 'cellKeys',
    priority: 1000,
    addKeyboardShortcuts: () => ({
      ...Object.fromEntries(ENDING.map(([key, after, keeps]) => [key, () => end.current(after, keeps)])),
      'Shift-Enter': ({ editor }) => editor.commands.splitBlock(),
    }),
  });
