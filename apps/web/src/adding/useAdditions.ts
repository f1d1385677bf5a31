import type { Id } from '@cove/core';
import { useCallback, useRef, useState } from 'react';
import type { Place } from './place.ts';

/** What is to be added: a widget, a section at a place among the sections, or a page. */
export type Addition = { what: 'widget' } | { what: 'section'; index: number } | { what: 'page' };

/** Which library is open, and where what it offers would stand. */
export function useAdditions() {
  const [wanted, setWanted] = useState<Addition | null>(null);
  const [place, setPlace] = useState<Place | null>(null);
  /** Where the preview of what is highlighted is drawn. */
  const [preview, setPreview] = useState<HTMLElement | null>(null);
  /** What had the focus, and has it again once the library is closed. */
  const cameFrom = useRef<HTMLElement | null>(null);
  const begin = useCallback((addition: Addition) => {
    const { activeElement } = document;
    cameFrom.current = activeElement instanceof HTMLElement ? activeElement : null;
    setWanted(addition);
  }, []);
  const close = useCallback(() => {
    setWanted(null);
    setPlace(null);
    requestAnimationFrame(() => cameFrom.current?.focus());
  }, []);
  return { wanted, begin, close, place, setPlace, preview, setPreview };
}
export type Additions = ReturnType<typeof useAdditions>;

/** What a library needs to know of where it is opened. */
export interface LibraryProps {
  page: Id;
  adding: Additions;
}
