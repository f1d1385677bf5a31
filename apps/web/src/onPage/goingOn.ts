import type { Edit, Id, Result, RichText, Site } from '@cove/core';
import type { Written } from '../writing/writeOnPage.ts';

/** Where writing goes on: in a thing, behind so many of its characters; of a row, in a column. */
export interface Next {
  node: Id;
  offset: number;
  column?: number;
}

/** What keys and the clipboard can ask for around the words that are written. */
export interface Around {
  site(): Site;
  commit(edits: readonly Edit[], label: string): boolean;
  /** Says why something cannot be. */
  refuse(message: string): void;
  goOn(next: Next): void;
}

/** Makes an act take the place of what is written, and goes on behind it; where it cannot be done that is said. */
export function follow(
  act: Result<{ edits: readonly Edit[]; next: Next }>,
  label: string,
  written: Written,
  around: Around,
): true {
  if (!act.ok) around.refuse(act.problem.message);
  else {
    written.leave();
    if (act.value.edits.length === 0 || around.commit(act.value.edits, label)) around.goOn(act.value.next);
  }
  return true;
}

/** Characters of a text. */
export const lengthOf = (text: RichText): number =>
  text.reduce((sum, runs) => sum + runs.reduce((all, run) => all + run.text.length, 0), 0);
