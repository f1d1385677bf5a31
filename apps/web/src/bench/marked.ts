import { Mark } from '@tiptap/core';

/** Words that are marked: they wear the guide's style for such. */
export const Marked = Mark.create({
  name: 'marked',
  parseHTML: () => [{ tag: 'mark' }],
  renderHTML: () => ['mark', 0],
});
