import type { Id } from '@cove/core';
import {
  DndContext,
  type DragEndEvent,
  type DragMoveEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, type ReactNode, useCallback, useLayoutEffect, useRef, useState } from 'react';
import { useLatest } from './useLatest.ts';

export type Where = 'before' | 'inside' | 'after';
export interface Drop {
  over: Id;
  where: Where;
}

export interface TreeRow {
  id: Id;
  depth: number;
}

interface Props<Row extends TreeRow> {
  label: string;
  rows: readonly Row[];
  /** Whether more than one can be picked. */
  several?: boolean;
  /** What is picked; the first of several is the one that keys start from. */
  picked: readonly Id[];
  /** `more` where it is to be picked beside the others, or no longer. */
  onPick(id: Id, more: boolean): void;
  onKey(id: Id, event: React.KeyboardEvent): void;
  /** Whether a row can be brought before, into or after another. */
  canDrop(id: Id, drop: Drop): boolean;
  /** Null where nothing may be moved. */
  onDrop: ((id: Id, drop: Drop) => void) | null;
  /** Where something is about to be put by other means than a drag. */
  about?: Drop | null;
  children(row: Row): ReactNode;
}

/** Things within things: picked, walked and moved by pointer and by keys. */
export function Tree<Row extends TreeRow>({
  label,
  rows,
  several = false,
  picked,
  onPick,
  onKey,
  canDrop,
  onDrop,
  about = null,
  children,
}: Props<Row>) {
  const list = useRef<HTMLDivElement>(null);
  const [drop, setDrop] = useState<Drop | null>(null);
  const shownDrop = drop ?? about;
  const sensors = useSensors(useSensor(PointerSensor, PRESSED));

  const dropAt = ({ active, over, activatorEvent, delta }: DragMoveEvent | DragEndEvent): Drop | null => {
    if (!over || !(activatorEvent instanceof PointerEvent)) return null;
    const share = (activatorEvent.clientY + delta.y - over.rect.top) / over.rect.height;
    const id = String(over.id);
    const order: Where[] =
      share < 0.3
        ? ['before', 'inside', 'after']
        : share > 0.7
          ? ['after', 'inside', 'before']
          : ['inside', share < 0.5 ? 'before' : 'after'];
    const where = order.find(it => canDrop(String(active.id), { over: id, where: it }));
    return where ? { over: id, where } : null;
  };

  const [margin, setMargin] = useState(0);
  useLayoutEffect(() => {
    const scroller = scrollerOf(list.current);
    if (!scroller || !list.current) return;
    setMargin(
      list.current.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop,
    );
  }, []);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scrollerOf(list.current),
    estimateSize: () => ROW,
    overscan: OVERSCAN,
    useFlushSync: false,
    scrollMargin: margin,
    getItemKey: index => rows[index]?.id ?? index,
  });
  const rowAt = (id: Id) => list.current?.querySelector<HTMLElement>(`[data-row="${CSS.escape(id)}"]`);
  const first = picked[0];
  const bringIntoView = (index: number) => {
    const { startIndex = 0, endIndex = -1 } = virtual.range ?? {};
    // Asking for what is in view already would have the whole window laid out for nothing.
    if (index >= 0 && (index <= startIndex || index >= endIndex))
      virtual.scrollToIndex(index, { align: 'auto' });
  };
  // What is picked elsewhere is brought into view here.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only where another one is picked
  useLayoutEffect(() => {
    const index = first === undefined ? -1 : rows.findIndex(it => it.id === first);
    bringIntoView(index);
  }, [first]);

  /** The row that has the focus, or had it until it went. */
  const focused = useRef<Id | null>(null);
  // Where it went, what is picked instead takes the focus: the next key is meant for the tree.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only where rows go, or another one is picked
  useLayoutEffect(() => {
    const gone = focused.current !== null && !rows.some(it => it.id === focused.current);
    if (gone && document.activeElement === document.body && first !== undefined) rowAt(first)?.focus();
  }, [rows, first]);

  const focusRow = (index: number, more: boolean) => {
    const row = rows[index];
    if (!row) return;
    onPick(row.id, more);
    bringIntoView(index);
    rowAt(row.id)?.focus();
  };
  // The rows that stay as they were are not drawn again because what they would call is made anew.
  const now = useLatest({ rows, onPick, onKey, focusRow });
  const pickRow = useCallback((id: Id, more: boolean) => now.current.onPick(id, several && more), [several]);
  const pressed = useCallback(
    (id: Id, event: React.KeyboardEvent) => {
      const at = now.current.rows.findIndex(it => it.id === id);
      if (!event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
        event.preventDefault();
        now.current.focusRow(at + (event.key === 'ArrowDown' ? 1 : -1), several && event.shiftKey);
      } else now.current.onKey(id, event);
    },
    [several],
  );
  const anyPicked = first !== undefined && rows.some(it => it.id === first);

  return (
    <DndContext
      sensors={sensors}
      onDragMove={event => setDrop(dropAt(event))}
      onDragCancel={() => setDrop(null)}
      onDragEnd={event => {
        const at = dropAt(event);
        setDrop(null);
        if (at) onDrop?.(String(event.active.id), at);
      }}
    >
      <div
        ref={list}
        role="tree"
        aria-label={label}
        aria-multiselectable={several}
        className="relative"
        style={{ height: virtual.getTotalSize() }}
        onFocus={event => {
          focused.current = event.target.dataset.row ?? null;
        }}
        onBlur={event => {
          if (event.relatedTarget !== null) focused.current = null;
        }}
      >
        {virtual.getVirtualItems().map(({ index, start, key }) => {
          const row = rows[index];
          return (
            row && (
              <Item
                key={key}
                row={row}
                draw={children}
                top={start - margin}
                place={index + 1}
                among={rows.length}
                picked={picked.includes(row.id)}
                reachable={row.id === first || (index === 0 && !anyPicked)}
                fixed={onDrop === null}
                drop={shownDrop?.over === row.id ? shownDrop.where : null}
                onPick={pickRow}
                onKeyDown={pressed}
              />
            )
          );
        })}
      </div>
    </DndContext>
  );
}

/** Height of a row in px, and how many are kept ready beyond what is in view. */
const ROW = 25;
const OVERSCAN = 24;

const scrollerOf = (element: Element | null): HTMLElement | null =>
  element?.closest<HTMLElement>('.thin-scroll') ?? null;

/** A press that moves on is a drag; what dnd-kit is told stays the very same, or every row would be drawn anew. */
const PRESSED = { activationConstraint: { distance: 5 } };

const LINES: Record<Where, string> = {
  before: 'shadow-[inset_0_2px_0_var(--teal)]',
  after: 'shadow-[inset_0_-2px_0_var(--teal)]',
  inside: 'outline-2 outline-teal -outline-offset-2',
};

interface ItemProps<Row extends TreeRow> {
  row: Row;
  /** What a row says; the very same function each time. */
  draw(row: Row): ReactNode;
  /** In px, within the tree. */
  top: number;
  /** Its number among all, from one. */
  place: number;
  among: number;
  picked: boolean;
  reachable: boolean;
  drop: Where | null;
  fixed: boolean;
  onPick(id: Id, more: boolean): void;
  onKeyDown(id: Id, event: React.KeyboardEvent): void;
}

function DrawnItem<Row extends TreeRow>({
  row,
  draw,
  top,
  place,
  among,
  picked,
  reachable,
  drop,
  fixed,
  onPick,
  onKeyDown,
}: ItemProps<Row>) {
  const { id, depth } = row;
  const draggable = useDraggable({ id, disabled: fixed });
  const droppable = useDroppable({ id });
  return (
    <div
      ref={element => {
        draggable.setNodeRef(element);
        droppable.setNodeRef(element);
      }}
      {...draggable.listeners}
      role="treeitem"
      data-row={id}
      aria-level={depth + 1}
      aria-posinset={place}
      aria-setsize={among}
      aria-selected={picked}
      data-drop={drop ?? undefined}
      tabIndex={reachable ? 0 : -1}
      onClick={event => onPick(id, event.shiftKey || event.ctrlKey || event.metaKey)}
      onKeyDown={event => onKeyDown(id, event)}
      className={`absolute inset-x-0 flex h-[25px] cursor-default items-center gap-2 pr-3.5 -outline-offset-2! ${picked ? 'bg-wash font-semibold text-teal' : 'hover:bg-ground'} ${draggable.isDragging ? 'opacity-40' : ''} ${drop ? LINES[drop] : ''}`}
      style={{ top, paddingLeft: 14 + depth * 12 }}
    >
      {draw(row)}
    </div>
  );
}
/** Drawn anew only where something of it is another; `memo` forgets that the component is generic. */
const Item = memo(DrawnItem) as typeof DrawnItem;
