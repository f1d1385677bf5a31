import { useEffect, useRef } from 'react';
import { useLatest } from '../ui/useLatest.ts';
import { forwardKeys } from './forwardKeys.ts';

const EMPTY =
  '<!doctype html><html><head><meta name="viewport" content="width=device-width"></head><body></body></html>';

export type View = Window & typeof globalThis;

interface Props {
  title: string;
  width: number;
  height: number;
  scale: number;
  /** Called once the document can be written to; what it answers is called when the frame goes. */
  onReady(document: Document, view: View): (() => void) | undefined;
}

/** A document of its own in which nothing can run. */
export function CanvasFrame({ title, width, height, scale, onReady }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const ready = useLatest(onReady);

  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    let cleanup: (() => void) | undefined;
    const begin = () => {
      const { contentDocument, contentWindow } = element;
      cleanup?.();
      if (!contentDocument || !contentWindow) return;
      const view = contentWindow as View;
      cleanup = ready.current(contentDocument, view);
      // After those of whoever fills the frame, so that it can keep keys to itself.
      forwardKeys(element, contentDocument, view);
    };
    element.addEventListener('load', begin);
    element.srcdoc = EMPTY;
    return () => {
      element.removeEventListener('load', begin);
      cleanup?.();
    };
  }, []);

  return (
    <iframe
      ref={frame}
      title={title}
      sandbox="allow-same-origin"
      className="block origin-top-left border-0 bg-white"
      style={{ width, height, transform: scale === 1 ? undefined : `scale(${scale})` }}
    />
  );
}
