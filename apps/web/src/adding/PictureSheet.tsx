import { type HtmlElement, type Id, printHtml, type Site, viewportOf } from '@cove/core';
import { type ReactNode, useEffect, useLayoutEffect, useRef } from 'react';
import { CanvasFrame } from '../canvas/CanvasFrame.tsx';
import { StyleEngine } from '../canvas/styleEngine.ts';
import { useSession } from '../session/context.tsx';
import { useRoom } from '../ui/useRoom.ts';

/** How much smaller than laid out they are shown, at most: sharp enough, and seldom so small that a window would be huge. */
const SCALE = 0.5;
const OURS =
  'html,body{margin:0;background:transparent!important;overflow:hidden}.pic{position:absolute;overflow:hidden;contain:strict}.pic>div{box-sizing:border-box}';

export interface Picture {
  id: string;
  markup: HtmlElement | null;
  /** How large it is drawn, of its own size; or as wide as a window, to fill its element. */
  zoom: number | 'window';
  /** Room around what is drawn in its own size, in px of the program. */
  pad: number;
}

/** The surroundings that pictures are drawn in. */
export interface Surface {
  site: Site;
  page: Id | null;
  scheme: Id;
}

/**
 * Live pictures in a guide’s own looks, each behind the element of ours that bears its id in `data-picture`: what is clicked,
 * named and reached by keys is ours, and one document draws them all.
 */
export function PictureSheet({
  surface: { site, page, scheme },
  pictures,
  className = '',
  children,
}: {
  surface: Surface;
  pictures: readonly Picture[];
  className?: string;
  children: ReactNode;
}) {
  const session = useSession();
  const [box, room] = useRoom<HTMLDivElement>({ width: 0, height: 0 });
  // They are laid out in a window as wide as that of a wide page, so that they are those of one.
  const { wide } = viewportOf(site);
  const scale = room.width === 0 ? SCALE : Math.min(SCALE, room.width / wide);
  const frame = useRef<{ document: Document; engine: StyleEngine } | null>(null);

  /** Puts each picture where its element stands now. */
  const place = () => {
    const { document } = frame.current ?? {};
    const outer = box.current?.getBoundingClientRect();
    if (!document || !outer) return;
    const cells = new Map(
      [...document.querySelectorAll<HTMLElement>('.pic')].map(it => [it.dataset.id ?? '', it]),
    );
    for (const cell of cells.values()) cell.style.display = 'none';
    for (const element of box.current?.querySelectorAll<HTMLElement>('[data-picture]') ?? []) {
      const cell = cells.get(element.dataset.picture ?? '');
      if (!cell) continue;
      const { left, top, width, height } = element.getBoundingClientRect();
      Object.assign(cell.style, {
        display: '',
        left: `${(left - outer.left) / scale}px`,
        top: `${(top - outer.top) / scale}px`,
        width: `${width / scale}px`,
        height: `${height / scale}px`,
      });
      const { zoom } = pictures[Number(cell.dataset.index)] ?? {};
      const inner = cell.querySelector<HTMLElement>(':scope > div');
      if (inner && zoom === 'window') inner.style.zoom = String(width / scale / wide);
    }
  };
  const draw = () => {
    if (!frame.current) return;
    const { document, engine } = frame.current;
    engine.reset(site, page === null ? null : (site.kinds.page.get(page) ?? null));
    document.body.innerHTML = pictures
      .map(
        ({ markup, zoom, pad }, i) =>
          `<div class="pic page-box s-${scheme}" data-index="${i}" inert><div${typeof zoom === 'number' ? ` style="zoom:${zoom / scale};padding:${pad / zoom}px"` : ''}>${markup ? printHtml(markup) : ''}</div></div>`,
      )
      .join('');
    for (const [i, cell] of [...document.querySelectorAll<HTMLElement>('.pic')].entries())
      cell.dataset.id = pictures[i]?.id ?? '';
    place();
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew with what it shows
  useEffect(draw, [site, page, scheme, pictures, scale]);
  // Whatever was laid out anew may have moved any of them.
  useLayoutEffect(place);

  return (
    <div ref={box} className={`relative ${className}`}>
      <div
        aria-hidden="true"
        className="pointer-events-none absolute inset-0 overflow-clip [&_iframe]:bg-transparent! [&_iframe]:[color-scheme:light]"
      >
        <CanvasFrame
          title="Pictures"
          width={room.width / scale}
          height={room.height / scale}
          scale={scale}
          onReady={(document, view) => {
            frame.current = {
              document,
              engine: new StyleEngine(document, view, 'canvas', session.id, OURS),
            };
            draw();
            return () => {
              frame.current = null;
            };
          }}
        />
      </div>
      <div className="relative">{children}</div>
    </div>
  );
}
