import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { planeDrag } from './planeDrag.ts';

/** A point of a picture, as shares of its width and height. */
export interface Focus {
  x: number;
  y: number;
}

const share = (n: number) => Math.min(1, Math.max(0, Number(n.toFixed(2))));
const STEPS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The picture, whole and small, with the point that stays in view however it is cropped; dragged, or moved by keys. */
export function FocusPlane({
  label,
  url,
  ratio,
  focus,
  onShow,
  onCommit,
  onCancel,
}: {
  label: string;
  url: string;
  /** Width by height. */
  ratio: number;
  focus: Focus;
  onShow(focus: Focus): void;
  onCommit(focus: Focus): void;
  /** What was shown is not to be kept. */
  onCancel(): void;
}) {
  const moved = useRef<Focus | null>(null);
  const at = ({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>): Focus => {
    const box = currentTarget.getBoundingClientRect();
    return { x: share((clientX - box.x) / box.width), y: share((clientY - box.y) / box.height) };
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 0.1 : 0.01;
    const from = moved.current ?? focus;
    moved.current = { x: share(from.x + step[0] * by), y: share(from.y + step[1] * by) };
    onShow(moved.current);
  };
  const finish = () => {
    if (moved.current) onCommit(moved.current);
    moved.current = null;
  };
  const percent = (n: number) => `${Math.round(n * 100)} %`;
  return (
    <div
      className="relative w-full cursor-crosshair touch-none overflow-hidden rounded-sm border border-hair"
      style={{ aspectRatio: ratio }}
      {...planeDrag(at, { onShow, onCommit, onCancel })}
    >
      <img src={url} alt="" draggable={false} className="pointer-events-none size-full" />
      <button
        type="button"
        role="slider"
        aria-label={label}
        aria-roledescription="point of the picture"
        aria-valuenow={Math.round(focus.x * 100)}
        aria-valuetext={`${percent(focus.x)} across, ${percent(focus.y)} down`}
        onKeyDown={onKeyDown}
        onKeyUp={finish}
        onBlur={finish}
        className="absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white bg-teal/40 outline-1 outline-black"
        style={{ left: `${focus.x * 100}%`, top: `${focus.y * 100}%` }}
      />
    </div>
  );
}
