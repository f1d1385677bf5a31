import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

export interface Room {
  width: number;
  height: number;
}

/** The room that an element has, in px, as it changes. */
export function useRoom<T extends HTMLElement>(begin: Room): [RefObject<T | null>, Room] {
  const box = useRef<T>(null);
  const [room, setRoom] = useState(begin);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() =>
      setRoom({ width: element.clientWidth, height: element.clientHeight }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [box, room];
}
