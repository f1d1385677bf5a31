import {
  type Edit,
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isColumn,
  isNode,
  type LaidColumn,
  rowsAround,
  type Site,
  shareColumns,
  shareGrid,
  sharesAfter,
  type Width,
} from '@cove/core';
import { useEffect, useState } from 'react';
import type { PageCanvas } from '../canvas/pageCanvas.ts';
import { useCommit, useSession } from '../session/context.tsx';

interface Border {
  ids: readonly [Id, Id];
  /** Number of the column at its left. */
  left: number;
  row: readonly LaidColumn[];
  x: number;
  y: number;
  height: number;
  /** All in the row, where it is a grid that knows no widths of their own yet. */
  inGrid: readonly Id[] | null;
  /** What the left one has of the two, in per cent. */
  share: number;
}

/** A step of the arrow keys, in px of the page. */
const STEP = 16;
/** Narrower than this nothing is made in a grid, in px of the page. */
const LEAST = 80;

/** The borders between things that stand side by side, as they are laid out: columns of a row, or whatever is in a grid. */
function bordersOf(canvas: PageCanvas, site: Site, ids: readonly Id[]): Border[] {
  const things = ids.flatMap(id => {
    const node = getRecord(site, id);
    const element = isNode(node) ? canvas.findPart(id, firstPart(elementOfNode(node))) : null;
    if (!element) return [];
    const style = element.ownerDocument.defaultView?.getComputedStyle(element);
    const box = element.getBoundingClientRect();
    const basis = Number.parseFloat(style?.flexBasis ?? '') || 0;
    return [{ id, element, box, laid: { width: box.width, basis, grow: Number(style?.flexGrow) || 0 } }];
  });
  const holder = things[0]?.element.parentElement;
  const grid = holder?.ownerDocument.defaultView?.getComputedStyle(holder).display.includes('grid') === true;
  return things.flatMap((thing, i) => {
    const next = things[i + 1];
    if (!next || next.box.x < thing.box.right - 1 || next.box.y >= thing.box.bottom) return [];
    const inRow = things.filter(it => it.box.y < thing.box.bottom && thing.box.y < it.box.bottom);
    // A grid of several rows has one width for each of its columns, which no thing of it could change alone.
    if (grid ? inRow.length < things.length : !inRow.every(it => isColumn(site, it.id) || it.laid.grow > 0))
      return [];
    const top = Math.min(thing.box.y, next.box.y);
    return [
      {
        ids: [thing.id, next.id] as const,
        left: inRow.indexOf(thing),
        row: inRow.map(it => it.laid),
        inGrid: grid ? inRow.map(it => it.id) : null,
        x: (thing.box.right + next.box.x) / 2,
        y: top,
        height: Math.max(thing.box.bottom, next.box.bottom) - top,
        share: Math.round((thing.box.width / (thing.box.width + next.box.width)) * 100),
      },
    ];
  });
}

/** Handles on the borders between columns: dragged, or moved by the arrow keys; what they share follows. */
export function ColumnBorders({
  canvas,
  picked,
  width,
  scale,
  measured,
}: {
  canvas: PageCanvas;
  picked: Id;
  width: Width;
  scale: number;
  /** Another thing each time the page was measured anew. */
  measured: unknown;
}) {
  const session = useSession();
  const commit = useCommit();
  const [borders, setBorders] = useState<readonly Border[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked for again whenever the page was measured
  useEffect(() => {
    const rows = rowsAround(session.site, picked);
    // Where they are is asked for once the page has been laid out for all else.
    const frame = requestAnimationFrame(() =>
      setBorders(rows.flatMap(ids => bordersOf(canvas, session.site, ids))),
    );
    return () => cancelAnimationFrame(frame);
  }, [session, canvas, picked, measured, scale]);

  const edits = ({ ids, row, left, inGrid }: Border, by: number): Edit[] | null => {
    if (inGrid) {
      const widths = row.map(it => it.width);
      const [one = 0, other = 0] = widths.slice(left, left + 2);
      const moved = Math.max(LEAST - one, Math.min(other - LEAST, by));
      widths[left] = one + moved;
      widths[left + 1] = other - moved;
      return shareGrid(session.site, inGrid, widths, width);
    }
    const shares = sharesAfter(row, left, by);
    return shares && shareColumns(session.site, ids, shares, width);
  };
  const drag = (event: React.PointerEvent<HTMLElement>, border: Border) => {
    const handle = event.currentTarget;
    handle.setPointerCapture(event.pointerId);
    const from = event.clientX;
    let last: Edit[] | null = null;
    const move = (at: PointerEvent) => {
      last = edits(border, (at.clientX - from) / scale);
      session.show(last);
    };
    const end = (at: PointerEvent) => {
      handle.removeEventListener('pointermove', move);
      if (last && at.type === 'pointerup') commit(last, 'Move the border of columns');
      else session.show(null);
    };
    handle.addEventListener('pointermove', move);
    handle.addEventListener('pointerup', end, { once: true });
    handle.addEventListener('pointercancel', end, { once: true });
  };
  return borders.map(border => (
    // biome-ignore lint/a11y/useSemanticElements: a separator that is moved is no rule across
    <div
      key={border.ids.join(' ')}
      role="separator"
      aria-orientation="vertical"
      aria-label="Border between columns; arrow keys move it"
      aria-valuenow={border.share}
      aria-valuemin={0}
      aria-valuemax={100}
      tabIndex={0}
      onPointerDown={event => drag(event, border)}
      onKeyDown={event => {
        if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
        event.preventDefault();
        const moved = edits(border, event.key === 'ArrowLeft' ? -STEP : STEP);
        if (moved) commit(moved, 'Move the border of columns');
      }}
      className="group absolute flex w-3 -translate-x-1/2 cursor-col-resize justify-center"
      style={{ left: border.x * scale, top: border.y * scale, height: border.height * scale }}
    >
      <span className="h-full border-l border-dashed border-teal opacity-60 group-hover:border-l-2 group-hover:opacity-100 group-focus-visible:opacity-100" />
    </div>
  ));
}
