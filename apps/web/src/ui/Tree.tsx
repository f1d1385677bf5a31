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
import { type ReactNode, useRef, useState } from 'react';

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
  children,
}: Props<Row>) {
  const list = useRef<HTMLDivElement>(null);
  const [drop, setDrop] = useState<Drop | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));

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

  const focusRow = (index: number, more: boolean) => {
    const row = rows[index];
    if (!row) return;
    onPick(row.id, more);
    list.current?.querySelectorAll<HTMLElement>('[role=treeitem]')[index]?.focus();
  };

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
      <div ref={list} role="tree" aria-label={label} aria-multiselectable={several}>
        {rows.map((row, i) => (
          <Item
            key={row.id}
            row={row}
            picked={picked.includes(row.id)}
            reachable={row.id === picked[0] || (i === 0 && !rows.some(it => it.id === picked[0]))}
            fixed={onDrop === null}
            drop={drop?.over === row.id ? drop.where : null}
            onPick={more => onPick(row.id, several && more)}
            onKeyDown={event => {
              if (!event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
                event.preventDefault();
                focusRow(i + (event.key === 'ArrowDown' ? 1 : -1), several && event.shiftKey);
              } else onKey(row.id, event);
            }}
          >
            {children(row)}
          </Item>
        ))}
      </div>
    </DndContext>
  );
}

const LINES: Record<Where, string> = {
  before: 'shadow-[inset_0_2px_0_var(--teal)]',
  after: 'shadow-[inset_0_-2px_0_var(--teal)]',
  inside: 'outline-2 outline-teal -outline-offset-2',
};

function Item({
  row: { id, depth },
  picked,
  reachable,
  drop,
  fixed,
  onPick,
  onKeyDown,
  children,
}: {
  row: TreeRow;
  picked: boolean;
  reachable: boolean;
  drop: Where | null;
  fixed: boolean;
  onPick(more: boolean): void;
  onKeyDown(event: React.KeyboardEvent): void;
  children: ReactNode;
}) {
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
      aria-level={depth + 1}
      aria-selected={picked}
      tabIndex={reachable ? 0 : -1}
      onClick={event => onPick(event.shiftKey || event.ctrlKey || event.metaKey)}
      onKeyDown={onKeyDown}
      className={`flex h-[25px] cursor-default items-center gap-2 pr-3.5 -outline-offset-2! ${picked ? 'bg-wash font-semibold text-teal' : 'hover:bg-ground'} ${draggable.isDragging ? 'opacity-40' : ''} ${drop ? LINES[drop] : ''}`}
      style={{ paddingLeft: 14 + depth * 12 }}
    >
      {children}
    </div>
  );
}
