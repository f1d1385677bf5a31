import {
  classesOf,
  editOf,
  elementNamed,
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isItem,
  nodeScope,
  partNames,
  partOf,
  partScope,
  type WidgetRecord,
} from '@cove/core';
import { type RefObject, useCallback, useEffect, useRef } from 'react';
import { toast } from 'sonner';
import type { PageCanvas } from '../canvas/pageCanvas.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { writingOnPage } from '../writing/onPage.ts';
import type { Around, Next } from './goingOn.ts';
import { cellKeys, pasteCells } from './inCell.ts';
import { entryKeys, pasteEntries } from './inEntry.ts';
import type { Picked } from './useSelection.ts';
import { wordsAt } from './wordsAt.ts';

interface Point {
  left: number;
  top: number;
}

/** Words written where they stand: plain ones as the browser does it, those with emphasis and links by an editor. */
export function useWriting({
  canvas,
  page,
  picked,
  mayWrite,
  onRich,
  onPick,
  measure,
}: {
  canvas: RefObject<PageCanvas | null>;
  page: Id;
  picked: Picked | null;
  mayWrite: boolean;
  /** Words that cannot be written where they stand. */
  onRich(): void;
  /** Writing goes on in something else. */
  onPick(picked: Picked): void;
  /** Something may have moved. */
  measure(): void;
}): (hit: Picked, element: HTMLElement, at: Point) => void {
  const session = useSession();
  const commit = useCommit();
  const now = useLatest({ mayWrite, onRich, onPick, picked });
  /** What ends the writing of a rich text. */
  const open = useRef<{ node: Id; end(): void } | null>(null);
  // Whatever else is picked, and wherever one goes, the words are kept.
  useEffect(() => {
    if (open.current?.node !== picked?.node) open.current?.end();
  }, [picked]);
  useEffect(() => () => open.current?.end(), []);

  const writePlain = useCallback(
    (record: WidgetRecord, field: string, element: HTMLElement) => {
      const before = element.textContent;
      const since = session.store.getState().seq;
      const held = canvas.current;
      held?.hold();
      element.contentEditable = 'plaintext-only';
      element.focus();
      element.ownerDocument.getSelection()?.selectAllChildren(element);
      let done = false;
      const end = (keep: boolean) => {
        if (done) return;
        done = true;
        const text = element.textContent.replace(/\s+/g, ' ').trim();
        held?.release(record.id);
        if (keep && text !== before)
          commit([editOf(record).setIn('content', field, text)], 'Edit text', since);
        measure();
      };
      element.addEventListener('blur', () => end(true), { once: true });
      element.addEventListener('input', measure);
      element.addEventListener('keydown', event => {
        event.stopPropagation();
        if (event.key === 'Enter') {
          event.preventDefault();
          end(true);
        }
        if (event.key === 'Escape') end(false);
      });
    },
    [session, commit, canvas, measure],
  );

  const writeRich = useCallback(
    async (record: WidgetRecord, element: HTMLElement, at: Point | number) => {
      const words = wordsAt(record, element);
      const scope = nodeScope(session.site, page, record.id);
      if (!words || !scope) {
        now.current.onRich();
        return;
      }
      // The editor is heavy, and comes when words are there to be written.
      const editing = await import('../writing/writeOnPage.ts').catch(() => null);
      const held = canvas.current;
      // Something else may have been picked while it came.
      if (!held || !words.element.isConnected || now.current.picked?.node !== record.id) return;
      if (!editing) {
        // The bench says what could not be fetched.
        now.current.onRich();
        return;
      }
      const { Keeping, writeOnPage } = editing;
      const value = () => words.read(session.site);
      const keeping = new Keeping(session, value(), (text, since) =>
        commit(words.write(session.site, text), 'Edit text', since),
      );
      const inner = partScope(scope, words.cell ? 'cell' : firstPart(scope.element));
      const classes = (part: string) => classesOf(session.site, inner, part).join(' ');
      const around: Around = {
        site: () => session.site,
        commit,
        refuse: message => toast.error(message),
        goOn: next => goOn.current(next),
      };
      const { cell } = words;
      const isEntry = !cell && isItem(elementNamed(record.widget));
      held.hold();
      const stop = session.onTouched((_, touched) => {
        const written = writingOnPage.getState().at;
        if (written?.node === record.id && (touched === null || touched.has(record.id)))
          keeping.follow(written.editor, value());
      });
      const end = writeOnPage({
        node: record.id,
        place:
          words.holds === 'words' ? editing.within(words.element) : editing.amongParagraphs(words.element),
        classes: { link: classes('link'), code: classes('code'), marked: classes('marked') },
        label: words.label,
        value: value(),
        keeping,
        at,
        keys: cell ? cellKeys(cell.table, cell.place, around) : isEntry ? entryKeys(record.id, around) : {},
        onPaste: (text, written) =>
          cell
            ? pasteCells(cell.table, cell.place, text, written, around)
            : isEntry && pasteEntries(record.id, text, written, around),
        onWritten: measure,
        onEnd: () => {
          stop();
          open.current = null;
          held.release(record.id);
          measure();
        },
      });
      open.current = { node: record.id, end };
    },
    [session, page, commit, canvas, measure],
  );

  /** Goes on writing elsewhere, once that is on the page. */
  const goOn = useLatest(({ node, column, offset }: Next) => {
    const record = getRecord(session.site, node);
    const held = canvas.current;
    if (record?.kind !== 'widget' || !held) return;
    const type = elementNamed(record.widget);
    const part = column === undefined ? partNames(type).find(it => type.parts[it]?.shows) : 'row';
    const found = held.findPart(node, part ?? firstPart(type));
    const element = column === undefined ? found : found?.children[column];
    const view = element?.ownerDocument.defaultView;
    if (!view || !(element instanceof view.HTMLElement)) return;
    now.current.onPick({ node, part: element.dataset.part ?? firstPart(type) });
    void writeRich(record, element, offset);
  });

  return useCallback(
    (hit, element, at) => {
      const record = getRecord(session.site, hit.node);
      if (record?.kind !== 'widget' || !now.current.mayWrite || element.isContentEditable) return;
      const type = elementOfNode(record);
      const field = partOf(type, hit.part)?.shows;
      if (field !== undefined && type.content[field]?.type === 'plain') writePlain(record, field, element);
      else void writeRich(record, element, at);
    },
    [session, writePlain, writeRich],
  );
}
