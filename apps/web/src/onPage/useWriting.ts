import {
  classesOf,
  editOf,
  elementNamed,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  isRichText,
  nodeScope,
  partOf,
  type WidgetRecord,
} from '@cove/core';
import { type RefObject, useCallback, useEffect, useRef } from 'react';
import type { PageCanvas } from '../canvas/pageCanvas.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { writingOnPage } from '../writing/onPage.ts';
import type { Picked } from './useSelection.ts';

interface Point {
  left: number;
  top: number;
}

/** The field of a widget that holds words with emphasis and links. */
const richFieldOf = (record: WidgetRecord) =>
  Object.entries(elementNamed(record.widget).content).find(([, field]) => field.type === 'rich');

/** Words written where they stand: plain ones as the browser does it, those with emphasis and links by an editor. */
export function useWriting({
  canvas,
  page,
  picked,
  mayWrite,
  onRich,
  measure,
}: {
  canvas: RefObject<PageCanvas | null>;
  page: Id;
  picked: Picked | null;
  mayWrite: boolean;
  /** Words that cannot be written where they stand. */
  onRich(): void;
  /** Something may have moved. */
  measure(): void;
}): (hit: Picked, element: HTMLElement, at: Point) => void {
  const session = useSession();
  const commit = useCommit();
  const now = useLatest({ mayWrite, onRich, picked });
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
    async (record: WidgetRecord, element: HTMLElement, at: Point) => {
      const [name, field] = richFieldOf(record) ?? [];
      const block = element.closest<HTMLElement>('p, li');
      const scope = nodeScope(session.site, page, record.id);
      if (name === undefined || !field || !scope || block?.dataset.node !== record.id) {
        now.current.onRich();
        return;
      }
      // The editor is heavy, and comes when words are there to be written.
      const editing = await import('../writing/writeOnPage.ts').catch(() => null);
      const held = canvas.current;
      // Something else may have been picked while it came.
      if (!held || !block.isConnected || now.current.picked?.node !== record.id) return;
      if (!editing) {
        // The bench says what could not be fetched.
        now.current.onRich();
        return;
      }
      const { Keeping, writeOnPage } = editing;
      const value = () => {
        const it = getRecord(session.site, record.id);
        const text = it?.kind === 'widget' ? it.content[name] : null;
        return isRichText(text) ? text : [];
      };
      const keeping = new Keeping(session, value(), (text, since) =>
        commit([editOf(record).setIn('content', name, text)], 'Edit text', since),
      );
      const classes = (part: string) => classesOf(session.site, scope, part).join(' ');
      held.hold();
      const stop = session.onTouched((_, touched) => {
        const written = writingOnPage.getState().at;
        if (written?.node === record.id && (touched === null || touched.has(record.id)))
          keeping.follow(written.editor, value());
      });
      const end = writeOnPage({
        node: record.id,
        block,
        classes: { link: classes('link'), code: classes('code'), marked: classes('marked') },
        label: field.label,
        value: value(),
        keeping,
        at,
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

  return useCallback(
    (hit, element, at) => {
      const record = getRecord(session.site, hit.node);
      if (record?.kind !== 'widget' || !now.current.mayWrite || element.isContentEditable) return;
      const field = isNode(record) ? partOf(elementOfNode(record), hit.part)?.shows : undefined;
      if (field === undefined) void writeRich(record, element, at);
      else writePlain(record, field, element);
    },
    [session, writePlain, writeRich],
  );
}
