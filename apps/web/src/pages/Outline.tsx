import {
  canStandIn,
  childrenOf,
  type Edit,
  getRecord,
  type Id,
  isNode,
  moveNode,
  type Site,
} from '@cove/core';
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
import { useMemo, useRef, useState } from 'react';
import { type OutlineRow, outlineRows } from './outlineRows.ts';

type Where = 'before' | 'inside' | 'after';
interface Drop {
  over: Id;
  where: Where;
}

interface Props {
  site: Site;
  page: Id;
  picked: Id | null;
  onPick(id: Id): void;
  onKey(id: Id, event: React.KeyboardEvent): void;
  /** Null where nothing may be moved. */
  onMove: ((edits: Edit[]) => void) | null;
}

/** Edits that bring a node before, into or after another; null where it cannot stand there. */
function dropEdits(site: Site, id: Id, { over, where }: Drop): Edit[] | null {
  const node = getRecord(site, id);
  const target = getRecord(site, over);
  if (!isNode(node) || !isNode(target) || id === over) return null;
  const parent = where === 'inside' ? over : target.at.parent;
  if (!canStandIn(site, node, parent)) return null;
  const siblings = childrenOf(site, parent).filter(it => it !== id);
  const index = where === 'inside' ? siblings.length : siblings.indexOf(over) + (where === 'after' ? 1 : 0);
  const moved = moveNode(site, id, parent, index);
  return moved.ok && moved.value.length > 0 ? moved.value : null;
}

/** The page as a tree: picked, walked and moved by pointer and by keys. */
export function Outline({ site, page, picked, onPick, onKey, onMove }: Props) {
  const rows = useMemo(() => outlineRows(site, page), [site, page]);
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
    const where = order.find(it => dropEdits(site, String(active.id), { over: id, where: it }) !== null);
    return where ? { over: id, where } : null;
  };

  const focusRow = (index: number) => {
    const row = rows[index];
    if (!row) return;
    onPick(row.node.id);
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
        const edits = at && dropEdits(site, String(event.active.id), at);
        if (edits) onMove?.(edits);
      }}
    >
      <div ref={list} role="tree" aria-label="On this page">
        {rows.map((row, i) => (
          <Row
            key={row.node.id}
            row={row}
            picked={row.node.id === picked}
            reachable={row.node.id === picked || (i === 0 && !rows.some(it => it.node.id === picked))}
            fixed={onMove === null}
            drop={drop?.over === row.node.id ? drop.where : null}
            onPick={() => onPick(row.node.id)}
            onKeyDown={event => {
              if (!event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
                event.preventDefault();
                focusRow(i + (event.key === 'ArrowDown' ? 1 : -1));
              } else onKey(row.node.id, event);
            }}
          />
        ))}
      </div>
    </DndContext>
  );
}

function Row({
  row,
  picked,
  reachable,
  drop,
  fixed,
  onPick,
  onKeyDown,
}: {
  row: OutlineRow;
  picked: boolean;
  reachable: boolean;
  drop: Where | null;
  fixed: boolean;
  onPick(): void;
  onKeyDown(event: React.KeyboardEvent): void;
}) {
  const { node, depth, label, kind, knots } = row;
  const draggable = useDraggable({ id: node.id, disabled: fixed });
  const droppable = useDroppable({ id: node.id });
  const line =
    drop === 'before'
      ? 'shadow-[inset_0_2px_0_var(--teal)]'
      : drop === 'after'
        ? 'shadow-[inset_0_-2px_0_var(--teal)]'
        : drop === 'inside'
          ? 'outline-2 outline-teal -outline-offset-2'
          : '';
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
      onClick={onPick}
      onKeyDown={onKeyDown}
      className={`flex h-[25px] cursor-default items-center gap-2 pr-3.5 -outline-offset-2! ${picked ? 'bg-wash font-semibold text-teal' : 'hover:bg-ground'} ${draggable.isDragging ? 'opacity-40' : ''} ${line}`}
      style={{ paddingLeft: 14 + depth * 12 }}
    >
      <span className="truncate">{label}</span>
      <span className="sr-only">, </span>
      <span
        className={
          label === kind || (node.kind === 'section' && node.area === 'main')
            ? 'sr-only'
            : 'shrink-0 text-small font-normal text-muted lowercase'
        }
      >
        {kind}
      </span>
      {knots > 0 && (
        <>
          <span className="sr-only">, </span>
          <span className="ml-auto text-small font-normal text-madder">{knots}</span>
          <span className="sr-only">{knots === 1 ? ' knot' : ' knots'}</span>
        </>
      )}
    </div>
  );
}
