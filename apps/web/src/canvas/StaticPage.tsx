import type { Id, Site } from '@cove/core';
import { useLayoutEffect, useRef, useState } from 'react';
import { useSession } from '../session/context.tsx';
import { Frame } from './Frame.tsx';
import { PageCanvas } from './pageCanvas.ts';

interface Props {
  title: string;
  site: Site;
  page: Id;
  /** Width of the viewport in px of the page. */
  width: number;
  /** A thing on it that is scrolled to. */
  node?: Id | undefined;
  /** CSS of ours beside the site's own. */
  extra?: string;
  /** Called with the document once it shows the page. */
  onShown?(document: Document): void;
}

/** A page of a site as it is, to be looked at: it follows nothing. */
export function StaticPage({ title, site, page, width, node, extra = '', onShown }: Props) {
  const session = useSession();
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 500, height: 500 });
  const scale = Math.min(1, room.width / width);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() =>
      setRoom({ width: element.clientWidth, height: element.clientHeight }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={box} className="h-full min-w-0 overflow-hidden bg-ground">
      <Frame
        title={title}
        width={width}
        height={room.height / scale}
        scale={scale}
        onReady={(document, view) => {
          const canvas = new PageCanvas(document, view, session.id, page, extra);
          canvas.show(site, null);
          if (node !== undefined) canvas.find(node)?.scrollIntoView({ block: 'center' });
          onShown?.(document);
          return undefined;
        }}
      />
    </div>
  );
}
