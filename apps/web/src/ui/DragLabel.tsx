import { type ReactNode, useRef } from 'react';
import { useLocked } from './locked.ts';

/** Pixels of the pointer that make one step. */
const STEP = 4;

/** The name of a field: it leads to the field, and dragging it sideways steps its value. Shift takes tens, Alt tenths. */
export function DragLabel({
  htmlFor,
  title,
  className = '',
  children,
  onStep,
}: {
  htmlFor: string;
  title: string;
  className?: string;
  children: ReactNode;
  /** So many steps from where the drag began; `done` when it is let go, null where it was given up. */
  onStep?: (by: number, phase: 'drag' | 'done' | 'off') => void;
}) {
  const locked = useLocked();
  const begun = useRef<{ x: number; by: number } | null>(null);
  const moved = useRef(false);
  if (!onStep || locked)
    return (
      <label htmlFor={htmlFor} title={title} className={`truncate ${className}`}>
        {children}
      </label>
    );
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: it only keeps the click of a drag from the field
    <label
      htmlFor={htmlFor}
      title={title}
      className={`cursor-ew-resize touch-none truncate select-none ${className}`}
      onPointerDown={event => {
        if (event.button !== 0) return;
        begun.current = { x: event.clientX, by: 0 };
        moved.current = false;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={event => {
        const from = begun.current;
        if (!from) return;
        const size = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
        const by = Number((Math.round((event.clientX - from.x) / STEP) * size).toFixed(1));
        if (by === from.by) return;
        moved.current = true;
        begun.current = { x: from.x, by };
        onStep(by, 'drag');
      }}
      onPointerUp={() => {
        const from = begun.current;
        begun.current = null;
        if (from && moved.current) onStep(from.by, from.by === 0 ? 'off' : 'done');
      }}
      onPointerCancel={() => {
        if (begun.current && moved.current) onStep(0, 'off');
        begun.current = null;
      }}
      onClick={event => {
        // What was dragged is not asked for the focus.
        if (moved.current) event.preventDefault();
      }}
    >
      {children}
    </label>
  );
}
