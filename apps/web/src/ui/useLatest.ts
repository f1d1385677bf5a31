import { useInsertionEffect, useRef } from 'react';

/** What was given last, for whoever asks after the drawing: in an event, a timer, an effect. Never to be read while drawing. */
export function useLatest<T>(value: T): { readonly current: T } {
  const latest = useRef(value);
  useInsertionEffect(() => {
    latest.current = value;
  });
  return latest;
}
