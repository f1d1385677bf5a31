import {
  copyThings,
  type Edit,
  elementNamed,
  type Id,
  type NodeRecord,
  nameOf,
  pasteThings,
  readClip,
  removeRecord,
  withArticle,
} from '@cove/core';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { useCommit, useSession } from '../session/context.tsx';
import { useLatest } from '../ui/useLatest.ts';

/** All values in some edits, to tell two ways of pasting apart. */
const looksOf = (edits: readonly Edit[]): string =>
  JSON.stringify(edits.map(it => (it.op === 'put' && 'styles' in it.record ? it.record.styles : null)));

/** Where words are being written, the clipboard is theirs. */
const isWriting = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || target.matches('input, textarea, select'));

interface Wish {
  /** The things that are picked. */
  picked: readonly Id[];
  /** Where what is pasted goes: into or after what is picked. */
  place(node: NodeRecord): { parent: Id; index: number } | null;
  remove(ids: readonly Id[]): void;
  onPasted(ids: readonly Id[]): void;
  mayPaste: boolean;
}

/** Copies, cuts and pastes what is picked by the keys of the system, within the site and from one site to another. */
export function useClipboard(wish: Wish): void {
  const session = useSession();
  const commit = useCommit();
  const now = useLatest(wish);
  useEffect(() => {
    const write = (event: ClipboardEvent): boolean => {
      const { picked } = now.current;
      if (picked.length === 0 || isWriting(event.target) || getSelection()?.isCollapsed === false)
        return false;
      const clip = copyThings(session.site, picked);
      if (clip.things.length === 0) return false;
      event.clipboardData?.setData('text/plain', JSON.stringify(clip));
      event.preventDefault();
      return true;
    };
    const copy = (event: ClipboardEvent) => {
      const [first = '', ...others] = now.current.picked;
      if (write(event))
        toast(
          others.length > 0
            ? `${others.length + 1} items are copied.`
            : `${nameOf(session.site, first)} is copied.`,
        );
    };
    const cut = (event: ClipboardEvent) => {
      if (write(event)) now.current.remove(now.current.picked);
    };
    const paste = (event: ClipboardEvent) => {
      if (isWriting(event.target) || !now.current.mayPaste) return;
      const clip = readClip(event.clipboardData?.getData('text/plain') ?? '');
      if (!clip) return;
      event.preventDefault();
      const first = clip.things[0]?.[0];
      const place = first ? now.current.place(first) : null;
      if (!place) {
        toast.error('Select where to paste first.');
        return;
      }
      const pasted = pasteThings(session.site, clip, place.parent, place.index);
      if (!pasted.ok) {
        toast.error(pasted.problem.message);
        return;
      }
      const { edits, ids, left, loosened } = pasted.value;
      if (!commit(edits, 'Paste')) return;
      now.current.onPasted(ids);
      for (const name of loosened) {
        const { label, onlyIn = [] } = elementNamed(name);
        const holders = onlyIn.map(it => withArticle(elementNamed(it).label)).join(' or ');
        toast(`Pasted as plain widgets: ${withArticle(label)} stands only in ${holders}.`);
      }
      if (left.length > 0) toast(`Missing here: ${left.join(', ')}. References to them were removed.`);
      const asWas = pasteThings(session.site, clip, place.parent, place.index, 'keep');
      if (!asWas.ok || looksOf(asWas.value.edits) === looksOf(edits)) return;
      toast('Values missing from this guide were replaced by the nearest tokens.', {
        action: {
          label: 'Keep the original values',
          onClick: () => {
            // What was tied goes, and comes again with the values it had.
            const kept = pasteThings(session.site, clip, place.parent, place.index, 'keep');
            if (!kept.ok) return;
            const gone = ids.map(removeRecord);
            if (commit([...gone, ...kept.value.edits], 'Keep pasted values as they were'))
              now.current.onPasted(kept.value.ids);
          },
        },
      });
    };
    document.addEventListener('copy', copy);
    document.addEventListener('cut', cut);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('copy', copy);
      document.removeEventListener('cut', cut);
      document.removeEventListener('paste', paste);
    };
  }, [session, commit]);
}
