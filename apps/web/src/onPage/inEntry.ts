import {
  continueEntry,
  type Id,
  inOneLine,
  isRichText,
  joinEntry,
  ok,
  type RichText,
  shiftEntry,
} from '@cove/core';
import type { WritingKeys, Written } from '../writing/writeOnPage.ts';
import { type Around, follow, lengthOf } from './goingOn.ts';

/** Ends an entry where the cursor stands, and goes on in new ones behind it. */
function goOnIn(
  id: Id,
  keeps: RichText,
  others: readonly RichText[],
  { label, offset }: { label: string; offset: number },
  written: Written,
  around: Around,
): true {
  const made = continueEntry(around.site(), id, keeps, others);
  const act = made.ok ? ok({ edits: made.value.edits, next: { node: made.value.id, offset } }) : made;
  return follow(act, label, written, around);
}

/** What keys mean in an entry of several: the next one, one with the one before it, further in or out. */
export function entryKeys(id: Id, around: Around): WritingKeys {
  const shift = (way: 'in' | 'out') => (written: Written) => {
    const offset = written.offset();
    // What was written is a step of its own.
    written.end();
    const shifted = shiftEntry(around.site(), id, way);
    if (!shifted.ok) around.refuse(shifted.problem.message);
    else
      around.commit(shifted.value, way === 'in' ? 'Put an entry below another' : 'Put an entry further out');
    around.goOn({ node: id, offset });
    return true;
  };
  return {
    Enter(written) {
      const { before, behind } = written.parted();
      return goOnIn(id, before, [behind], { label: 'Add an entry', offset: 0 }, written, around);
    },
    Backspace(written) {
      const { before } = written.parted();
      // Without one before it there is nothing to join, and the key does what it does in any text.
      if (lengthOf(before) > 0 || written.isSelected() || !joinEntry(around.site(), id).ok) return false;
      written.end();
      const joined = joinEntry(around.site(), id);
      if (!joined.ok) return true;
      const above = around.site().kinds.widget.get(joined.value.id)?.content.text;
      const offset = isRichText(above) ? lengthOf(above) : 0;
      if (around.commit(joined.value.edits, 'Join two entries'))
        around.goOn({ node: joined.value.id, offset });
      return true;
    },
    Tab: shift('in'),
    'Shift-Tab': shift('out'),
  };
}

const run = (text: string): RichText => [[{ text }]];

/** Makes an entry of every line that is pasted into one; false for a single line, which is pasted as in any text. */
export function pasteEntries(id: Id, text: string, written: Written, around: Around): boolean {
  const [first = '', ...rest] = text.split(/\r?\n/).flatMap(it => it.trim() || []);
  const last = rest.at(-1);
  if (last === undefined) return false;
  const { before, behind } = written.parted();
  const others = [...rest.slice(0, -1).map(run), inOneLine(run(last), behind)];
  const label = `Paste ${rest.length + 1} entries`;
  return goOnIn(id, inOneLine(before, run(first)), others, { label, offset: last.length }, written, around);
}
