import { Mark } from '@tiptap/core';

/** Words that are marked: they wear the guide's style for such. */
export const Marked = Mark.create({
  name: 'marked',
  addOptions: () => ({ HTMLAttributes: {} }),
  parseHTML: () => [{ tag: 'mark' }],
  renderHTML() {
    return ['mark', this.options.HTMLAttributes, 0];
  },
});
