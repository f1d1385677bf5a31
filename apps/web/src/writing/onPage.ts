import type { Id } from '@cove/core';
import type { Editor } from '@tiptap/core';
import { createStore } from 'zustand/vanilla';

/** The text that is written on the page now, so that the bench can offer what its words can become. */
export const writingOnPage = createStore<{ at: { node: Id; editor: Editor } | null }>(() => ({ at: null }));
