import type { Upgrade } from '../upgrade.ts';

/**
 * Schema 3 has items, which stand only in their holder, and widgets that keep what they were before they became another.
 * Nothing of schema 2 reads otherwise since; what was made with either cannot be read by a program of schema 2.
 */
export const items: Upgrade = { to: 3, about: 'Widgets can hold items, and become other widgets.' };
