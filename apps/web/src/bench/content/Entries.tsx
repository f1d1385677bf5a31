import {
  addWidget,
  continueEntry,
  editOf,
  elementNamed,
  type Id,
  joinEntry,
  nameOf,
  nodesUnder,
  nudge,
  removeNodes,
  richText,
  type Site,
  type WidgetRecord,
  withArticle,
  wordsField,
} from '@cove/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { X } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { useGo } from '../../navigation/go.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

const ROW = 28;

/** The items of a holder, an entry a line. Those that are plain words are written here; the others open where they are. */
export function Entries({ site, holder }: { site: Site; holder: WidgetRecord }) {
  const commit = useCommit();
  const session = useSession();
  const locked = useLocked();
  const scroller = useRef<HTMLDivElement>(null);
  /** The entry that takes the focus once it is there. */
  const [wanted, setWanted] = useState<Id | null>(null);
  const ids = nodesUnder(site, holder.id);
  const [kind = ''] = elementNamed(holder.widget).accepts ?? [];
  const item = elementNamed(kind);
  const virtual = useVirtualizer({
    count: ids.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 4,
  });
  const place = wanted === null ? -1 : ids.indexOf(wanted);
  // An entry out of sight is drawn once it is scrolled to, and takes the focus then.
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place);
  }, [place, virtual]);

  const add = () => {
    const made = addWidget(session.site, holder.id, nodesUnder(session.site, holder.id).length, kind);
    if (commit(made.edits, `Add ${withArticle(item.label)}`)) setWanted(made.id);
  };
  return (
    <div>
      <p className="label-line mb-0.5">{ids.length === 1 ? '1 entry' : `${ids.length} entries`}</p>
      <div ref={scroller} className="thin-scroll max-h-60 overflow-auto">
        <ul className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const entry = site.kinds.widget.get(ids[index] ?? '');
            return entry ? (
              <li
                key={entry.id}
                className="absolute inset-x-0 flex items-center gap-1"
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                <Entry
                  site={site}
                  entry={entry}
                  number={index + 1}
                  isWanted={wanted === entry.id}
                  onWant={setWanted}
                />
              </li>
            ) : null;
          })}
        </ul>
      </div>
      {!locked && (
        <Button kind="link" onClick={add}>
          Add {withArticle(item.label)}
        </Button>
      )}
    </div>
  );
}

function Entry({
  site,
  entry,
  number,
  isWanted,
  onWant,
}: {
  site: Site;
  entry: WidgetRecord;
  number: number;
  /** It is to take the focus. */
  isWanted: boolean;
  onWant(id: Id | null): void;
}) {
  const commit = useCommit();
  const session = useSession();
  const locked = useLocked();
  const go = useGo();
  const element = elementNamed(entry.widget);
  const field = wordsField(element);
  const isPlain = field !== undefined && element.content[field]?.type === 'plain';
  const kept = isPlain && typeof entry.content[field] === 'string' ? entry.content[field] : '';
  const [typed, setTyped] = useState<string | null>(null);
  const label = `${element.label} ${number}`;
  const own = useRef<HTMLElement>(null);
  const keepOwn = useCallback((element: HTMLElement | null) => {
    own.current = element;
  }, []);
  useEffect(() => {
    if (!isWanted) return;
    own.current?.focus();
    onWant(null);
  }, [isWanted, onWant]);

  const keep = (text: string) => {
    setTyped(null);
    if (isPlain && text !== kept) commit([editOf(entry).setIn('content', field, text)], `Edit ${label}`);
  };
  const goOn = (keeps: string, others: readonly string[]) => {
    setTyped(null);
    const made = continueEntry(
      session.site,
      entry.id,
      richText(keeps),
      others.map(it => richText(it)),
    );
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Add ${withArticle(element.label)}`)) onWant(made.value.id);
  };
  const remove = () => {
    const siblings = nodesUnder(session.site, entry.at.parent);
    const index = siblings.indexOf(entry.id);
    const next = siblings[index - 1] ?? siblings[index + 1];
    if (commit(removeNodes(session.site, [entry.id]), `Delete ${nameOf(session.site, entry.id)}`) && next)
      onWant(next);
  };
  const onKeyDown = (event: React.KeyboardEvent<HTMLInputElement>) => {
    const { value, selectionStart, selectionEnd } = event.currentTarget;
    const [from, to] = [selectionStart ?? value.length, selectionEnd ?? value.length];
    if (locked) return;
    if (event.key === 'Enter') goOn(value.slice(0, from), [value.slice(to)]);
    else if (event.key === 'Escape' && typed !== null) setTyped(null);
    else if (event.key === 'Backspace' && to === 0 && number > 1) {
      keep(value);
      // What stands in it goes along, so an empty title takes nothing with it.
      const joined = joinEntry(session.site, entry.id);
      if (joined.ok && commit(joined.value.edits, 'Join two entries')) onWant(joined.value.id);
    } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      keep(value);
      const moved = nudge(session.site, entry.id, event.key === 'ArrowUp' ? 'up' : 'down');
      if (moved.ok && commit(moved.value, `Move ${label}`)) onWant(entry.id);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onPaste = (event: React.ClipboardEvent<HTMLInputElement>) => {
    const lines = event.clipboardData
      .getData('text/plain')
      .split(/\r?\n/)
      .flatMap(it => it.trim() || []);
    if (lines.length < 2) return;
    event.preventDefault();
    const { value, selectionStart, selectionEnd } = event.currentTarget;
    const [first = '', ...rest] = lines;
    const last = rest.pop() ?? '';
    goOn(`${value.slice(0, selectionStart ?? value.length)}${first}`, [
      ...rest,
      `${last}${value.slice(selectionEnd ?? value.length)}`,
    ]);
  };
  return (
    <>
      {isPlain ? (
        <input
          ref={keepOwn}
          data-entry={entry.id}
          aria-label={label}
          value={typed ?? kept}
          readOnly={locked}
          spellCheck={false}
          autoComplete="off"
          onChange={event => setTyped(event.target.value)}
          onBlur={event => typed !== null && keep(event.target.value)}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
          className="h-6 min-w-0 flex-1 rounded-sm border border-hair bg-transparent px-1"
        />
      ) : (
        <button
          ref={keepOwn}
          type="button"
          data-entry={entry.id}
          onClick={() => go(entry.id)}
          className="min-w-0 flex-1 truncate rounded-sm px-1 text-left hover:bg-ground"
        >
          {nameOf(site, entry.id)}
        </button>
      )}
      {isPlain && (
        <Button kind="link" onClick={() => go(entry.id)}>
          Open
        </Button>
      )}
      {!locked && (
        <Button aria-label={`Delete ${label}`} className="w-6 justify-center px-0!" onClick={remove}>
          <X size={12} />
        </Button>
      )}
    </>
  );
}
