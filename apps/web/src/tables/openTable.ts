import type { Id } from '@cove/core';
import { createStore } from 'zustand/vanilla';

/** The table that is open as a grid below the page. */
export const openTable = createStore<{ table: Id | null }>(() => ({ table: null }));
