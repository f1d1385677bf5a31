import {
  type ElementType,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type PropertyRow,
  partOf,
  type State,
  sectionsIn,
  type Width,
} from '@cove/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { CanvasFrame, type View } from '../canvas/CanvasFrame.tsx';
import { PageCanvas, type Seam } from '../canvas/pageCanvas.ts';
import { useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { CropMarks } from '../ui/CropMarks.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { useRoom } from '../ui/useRoom.ts';
import { ColumnBorders } from './ColumnBorders.tsx';
import type { Box, PageDrop } from './dropOnPage.ts';
import { boxOf, letDrag } from './letDrag.ts';
import type { Picked } from './useSelection.ts';
import { useWriting } from './useWriting.ts';

interface Props {
  page: Id;
  /** Width of the viewport in px of the page. */
  width: number;
  /** Null where the width cannot be dragged. */
  onWidth: ((width: number) => void) | null;
  /** The width that is set when something is moved here. */
  at: Width;
  /** Name of the frame. */
  title?: string;
  picked: Picked | null;
  /** What is picked besides. */
  others?: readonly Id[];
  state: State;
  /** The box whose property is being set. */
  box: PropertyRow['box'] | null;
  /** `more` where it is to be picked beside the others. */
  onPick(picked: Picked | null, more: boolean): void;
  /** Null where nothing may be moved. */
  onMove: ((ids: readonly Id[], parent: Id, index: number) => void) | null;
  /** Null where no section may be added. */
  onAddSection: ((index: number) => void) | null;
  /** Words that cannot be written where they stand were double-clicked; they are on the bench. */
  onRich(): void;
  /** Whether words may be edited where they stand. */
  mayWrite: boolean;
  /** Where the page parts for something laid over it, of which so much is left in sight above and below; null where it does not. */
  parted: { seam: Seam | null; above: number; below: number } | null;
}

const ROOM = 26;
const NO_OTHERS: readonly Id[] = [];

/** Room for the line that tells where something is added, in px. */
const LINE = 34;

/** How near to a border of sections the pointer opens the seam, in px of the page. */
const SEAM_REACH = 14;

const same = (a: Box | null, b: Box | null) =>
  a === b ||
  (a !== null && b !== null && a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height);

/** The page itself, in a window of its own width, with marks drawn over it. */
export function Canvas({
  page,
  width,
  onWidth,
  at,
  title = 'Page',
  picked,
  others = NO_OTHERS,
  state,
  box,
  onPick,
  onMove,
  onAddSection,
  onRich,
  mayWrite,
  parted,
}: Props) {
  const session = useSession();
  const canvas = useRef<PageCanvas | null>(null);
  const [area, room] = useRoom<HTMLDivElement>({ width: 720, height: 640 });
  const [marks, setMarks] = useState<{
    picked: Box | null;
    inner: Box | null;
    hover: Box | null;
    others: readonly Box[];
  }>({
    picked: null,
    inner: null,
    hover: null,
    others: [],
  });
  const [drop, setDrop] = useState<PageDrop | null>(null);
  const [seam, setSeam] = useState<{ y: number; index: number } | null>(null);
  const hovered = useRef<Picked | null>(null);
  const now = useLatest({ picked, others, state, onPick, onMove });

  const scale = Math.min(1, (room.width - ROOM * 2) / width);
  const height = Math.max(200, (room.height - ROOM) / scale);

  const measure = useCallback(() => {
    const it = canvas.current;
    if (!it) return;
    const at = now.current.picked;
    const element = at ? it.findPart(at.node, at.part) : null;
    const over = hovered.current;
    const next = {
      picked: boxOf(element),
      inner: element ? innerOf(element) : null,
      hover:
        over && (over.node !== at?.node || over.part !== at?.part)
          ? boxOf(it.findPart(over.node, over.part))
          : null,
      others: now.current.others.flatMap(id => boxOf(it.find(id)) ?? []),
    };
    setMarks(before =>
      same(before.picked, next.picked) &&
      same(before.hover, next.hover) &&
      same(before.inner, next.inner) &&
      before.others.length === next.others.length &&
      before.others.every((it, i) => same(it, next.others[i] ?? null))
        ? before
        : next,
    );
  }, []);

  /** Scrolls to what is picked where it is out of sight. */
  const bring = useCallback(() => {
    const { picked: at } = now.current;
    const element = at && canvas.current?.findPart(at.node, at.part);
    if (element) {
      const { top, bottom } = element.getBoundingClientRect();
      const view = element.ownerDocument.defaultView?.innerHeight ?? 0;
      if (bottom < 0 || top > view) element.scrollIntoView({ block: 'center' });
      bringAcross(element);
    }
    measure();
  }, [measure]);

  useEffect(() => {
    canvas.current?.openAround(picked ? [picked.node, ...others] : []);
    canvas.current?.force(picked ? { ...picked, state } : null);
    // The bench shows first: laying out what the page is scrolled to takes longer than all else.
    const frame = requestAnimationFrame(bring);
    return () => cancelAnimationFrame(frame);
  }, [picked, others, state, bring]);

  // What it is laid behind stays in sight above the line that says so.
  const gap = parted ? Math.max(0, room.height - parted.above - parted.below + LINE) / scale : 0;
  const top = ((parted?.above ?? 0) - LINE) / scale;
  useEffect(() => {
    const seam = parted?.seam ?? null;
    canvas.current?.part(seam, gap);
    if (!seam) return;
    const element = canvas.current?.findPart(seam.node, seam.part);
    const view = element?.ownerDocument.defaultView;
    if (!element || !view) return;
    // A section that was out of sight is laid out as it is scrolled to, which may move what stands below it.
    const bringSeam = () => {
      const box = element.getBoundingClientRect();
      const bottom = seam.side === 'padding-bottom' ? box.bottom - gap : box.bottom;
      if (Math.abs(bottom - top) > 1) view.scrollBy(0, bottom - top);
    };
    bringSeam();
    const frame = requestAnimationFrame(() => {
      bringSeam();
      measure();
    });
    return () => cancelAnimationFrame(frame);
  }, [parted?.seam, gap, top, measure]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: measured anew with what is picked besides
  useEffect(() => {
    const frame = requestAnimationFrame(measure);
    return () => cancelAnimationFrame(frame);
  }, [others, measure]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: a new size moves everything
  useEffect(() => {
    const frame = requestAnimationFrame(measure);
    return () => cancelAnimationFrame(frame);
  }, [width, height, scale, measure]);

  useEffect(() => {
    let frame = 0;
    const stop = session.onTouched((site, touched) => {
      canvas.current?.show(site, touched);
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(measure);
    });
    return () => {
      stop();
      cancelAnimationFrame(frame);
    };
  }, [session, measure]);

  const editText = useWriting({
    canvas,
    page,
    picked,
    mayWrite,
    onRich,
    onPick: next => onPick(next, false),
    measure,
  });

  const onReady = (document: Document, view: View) => {
    const made = new PageCanvas(document, view, session.id, page);
    canvas.current = made;
    made.show(session.site, null);
    const { picked: one, others: more } = now.current;
    made.openAround(one ? [one.node, ...more] : []);
    const elementAt = (event: Event) => (event.target instanceof view.Element ? event.target : null);
    const wasDragged = letDrag(made, view, {
      site: () => session.site,
      picked: () => {
        const { picked: one, others: more } = now.current;
        return one ? [one.node, ...more] : [];
      },
      may: () => now.current.onMove !== null,
      show: setDrop,
      move: (ids, parent, index) => now.current.onMove?.(ids, parent, index),
    });
    document.addEventListener('click', event => {
      event.preventDefault();
      const target = elementAt(event);
      if (target instanceof view.HTMLElement && target.isContentEditable) return;
      if (wasDragged()) return;
      now.current.onPick(PageCanvas.hit(target), event.shiftKey || event.ctrlKey || event.metaKey);
    });
    document.addEventListener('dblclick', event => {
      const part = elementAt(event)?.closest('[data-part]');
      const hit = PageCanvas.hit(part ?? null);
      if (hit && part instanceof view.HTMLElement)
        editText(hit, part, { left: event.clientX, top: event.clientY });
    });
    document.addEventListener('pointermove', event => {
      const hit = PageCanvas.hit(elementAt(event));
      if (hit?.node !== hovered.current?.node || hit?.part !== hovered.current?.part) {
        hovered.current = hit;
        measure();
      }
      const borders = [...document.querySelectorAll('main > [data-node]')].map(it =>
        it.getBoundingClientRect(),
      );
      const ys = borders.length === 0 ? [0] : [borders[0]?.top ?? 0, ...borders.map(it => it.bottom)];
      const index = ys.findIndex(y => Math.abs(y - event.clientY) < SEAM_REACH);
      setSeam(index < 0 ? null : { index, y: ys[index] ?? 0 });
    });
    document.documentElement.addEventListener('pointerleave', () => {
      hovered.current = null;
      measure();
    });
    // Of the page, and of rows within it.
    document.addEventListener(
      'scroll',
      () => {
        setSeam(null);
        measure();
      },
      { capture: true },
    );
    document.fonts.addEventListener('loadingdone', measure);
    requestAnimationFrame(bring);
    return () => {
      canvas.current = null;
    };
  };

  const drag = (event: React.PointerEvent<HTMLButtonElement>) => {
    const handle = event.currentTarget;
    handle.setPointerCapture(event.pointerId);
    const start = { x: event.clientX, width };
    const move = (it: PointerEvent) =>
      onWidth?.(
        Math.round(Math.min(2400, Math.max(240, start.width + ((it.clientX - start.x) * 2) / scale))),
      );
    handle.addEventListener('pointermove', move);
    handle.addEventListener('pointerup', () => handle.removeEventListener('pointermove', move), {
      once: true,
    });
  };

  const record = picked && getRecord(session.site, picked.node);
  const name = isNode(record) && picked ? pickedName(elementOfNode(record), picked.part) : 'Page';
  const scaled = (rect: Box): Box => ({
    x: rect.x * scale,
    y: rect.y * scale,
    width: rect.width * scale,
    height: rect.height * scale,
  });
  const sections = sectionsIn(session.site, page, 'main').length;

  return (
    <div ref={area} className="relative min-h-0 flex-1 overflow-clip">
      <div
        className="relative mx-auto"
        style={{ width: width * scale, height: height * scale, marginTop: 4 }}
      >
        <div className="absolute inset-0 overflow-clip border border-hair bg-white">
          <CanvasFrame
            key={page}
            title={title}
            width={width}
            height={height}
            scale={scale}
            onReady={onReady}
          />
          {marks.others.map(it => (
            <CropMarks key={`${it.x} ${it.y}`} {...scaled(it)} />
          ))}
          {marks.hover && !drop && <CropMarks {...scaled(marks.hover)} faint />}
          {marks.picked && <CropMarks {...scaled(marks.picked)} name={name} />}
          {canvas.current && picked && onMove && (
            <ColumnBorders
              canvas={canvas.current}
              picked={picked.node}
              width={at}
              scale={scale}
              measured={marks}
            />
          )}
          {drop && (
            <div
              data-drop
              className="pointer-events-none absolute rounded-sm bg-teal shadow-[0_0_0_1px_var(--paper)]"
              style={placed(scaled(drop.line))}
            />
          )}
          {marks.inner && box === 'padding' && marks.picked && (
            <Padding outer={scaled(marks.picked)} inner={scaled(marks.inner)} />
          )}
          {marks.picked && (box === 'size' || box === 'margin' || box === 'gap') && (
            <div
              className="pointer-events-none absolute border border-dashed border-teal bg-teal/10"
              style={placed(scaled(marks.picked))}
            />
          )}
          {seam && onAddSection && seam.index <= sections && (
            <div
              className="pointer-events-none absolute inset-x-6 flex -translate-y-1/2 items-center gap-3"
              style={{ top: Math.max(12, Math.min(height * scale - 12, seam.y * scale)) }}
            >
              <span className="flex-1 border-t border-dashed border-teal" />
              <Button
                className="pointer-events-auto h-6! bg-paper! font-semibold text-teal! shadow-sm"
                onClick={() => onAddSection(seam.index)}
              >
                Add a section here
              </Button>
              <span className="flex-1 border-t border-dashed border-teal" />
            </div>
          )}
        </div>
        {onWidth && (
          <button
            type="button"
            aria-label={`Width of the page, ${width} px; arrow keys change it`}
            onPointerDown={drag}
            onKeyDown={event =>
              (event.key === 'ArrowLeft' || event.key === 'ArrowRight') &&
              onWidth(Math.max(240, Math.min(2400, width + (event.key === 'ArrowLeft' ? -20 : 20))))
            }
            className="absolute top-1/2 -right-4 h-16 w-3 -translate-y-1/2 cursor-ew-resize rounded border-x border-muted opacity-60 hover:opacity-100"
          />
        )}
      </div>
    </div>
  );
}

const placed = ({ x, y, width, height }: Box) => ({ left: x, top: y, width, height });

/** Scrolls rows that an element is in across to it, where it is out of their sight. */
function bringAcross(element: Element): void {
  for (let row = element.parentElement; row && row !== document.body; row = row.parentElement) {
    if (row.scrollWidth <= row.clientWidth + 1) continue;
    const its = row.getBoundingClientRect();
    const { left, right } = element.getBoundingClientRect();
    if (left < its.left - 1 || right > its.right + 1)
      row.scrollBy({ left: left - its.left, behavior: 'instant' });
  }
}

/** The content box of an element: inside border and padding. */
function innerOf(element: Element): Box {
  const { x, y, width, height } = element.getBoundingClientRect();
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const px = (name: string) => Number.parseFloat(style?.getPropertyValue(name) ?? '0') || 0;
  const [top, right, bottom, left] = ['top', 'right', 'bottom', 'left'].map(
    side => px(`padding-${side}`) + px(`border-${side}-width`),
  );
  return {
    x: x + (left ?? 0),
    y: y + (top ?? 0),
    width: width - (left ?? 0) - (right ?? 0),
    height: height - (top ?? 0) - (bottom ?? 0),
  };
}

/** The room between an element's edge and its content, hatched. */
function Padding({ outer, inner }: { outer: Box; inner: Box }) {
  const hatch =
    'repeating-linear-gradient(135deg, color-mix(in oklch, var(--teal) 45%, transparent) 0 1.5px, transparent 1.5px 6px)';
  const left = inner.x - outer.x;
  const top = inner.y - outer.y;
  const bands: (Box & { side: string })[] = [
    { side: 'top', x: outer.x, y: outer.y, width: outer.width, height: top },
    {
      side: 'bottom',
      x: outer.x,
      y: inner.y + inner.height,
      width: outer.width,
      height: outer.y + outer.height - inner.y - inner.height,
    },
    { side: 'left', x: outer.x, y: inner.y, width: left, height: inner.height },
    {
      side: 'right',
      x: inner.x + inner.width,
      y: inner.y,
      width: outer.x + outer.width - inner.x - inner.width,
      height: inner.height,
    },
  ];
  return bands.map(band => (
    <div
      key={band.side}
      className="pointer-events-none absolute"
      style={{
        left: band.x,
        top: band.y,
        width: Math.max(0, band.width),
        height: Math.max(0, band.height),
        background: hatch,
      }}
    />
  ));
}

/** The thing and its part, said once where both are called the same. */
function pickedName(element: ElementType, part: string): string {
  const label = partOf(element, part)?.label ?? part;
  return label === element.label ? label : `${element.label}, ${label.toLowerCase()}`;
}
