import type { PointerEvent } from 'react';

type Handler = (event: PointerEvent<HTMLElement>) => void;

/** Handlers of an element that is dragged in: what is shown follows the pointer, and is kept where it is let go. */
export function planeDrag<T>(
  at: (event: PointerEvent<HTMLElement>) => T,
  { onShow, onCommit, onCancel }: { onShow(it: T): void; onCommit(it: T): void; onCancel(): void },
): Record<'onPointerDown' | 'onPointerMove' | 'onPointerUp' | 'onPointerCancel', Handler> {
  const held = ({ currentTarget, pointerId }: PointerEvent<HTMLElement>) =>
    currentTarget.hasPointerCapture(pointerId);
  return {
    onPointerDown: event => {
      event.currentTarget.setPointerCapture(event.pointerId);
      onShow(at(event));
    },
    onPointerMove: event => held(event) && onShow(at(event)),
    onPointerUp: event => held(event) && onCommit(at(event)),
    // A finger that the system takes for a gesture of its own: as if nothing had been done.
    onPointerCancel: onCancel,
  };
}
