import { type Color, convert, type Gamut, inGamut, maxChroma, paintedBytes, roundColor } from '@cove/core';
import { type PointerEvent, useEffect, useMemo, useRef } from 'react';
import { planeDrag } from './planeDrag.ts';

const COLUMNS = 88;
const ROWS = 44;
/** The most OKLCH chroma that the plane shows. */
const MOST = 0.34;
/** How strongly colours are drawn that only wide screens show, 0 to 255. */
const BEYOND = 110;

const GAMUTS = ['srgb', 'display-p3'] as const;

const edgeOf = (hue: number, gamut: Gamut): string =>
  Array.from({ length: 41 }, (_, i) => {
    const l = i / 40;
    return `${(l * 100).toFixed(1)},${((1 - maxChroma(l, hue, gamut) / MOST) * 100).toFixed(1)}`;
  }).join(' ');

/** All that screens can show of one hue: lightness to the right, chroma upwards, the edges of sRGB and of Display P3 as lines. */
export function ColorPlane({
  color,
  wide,
  onShow,
  onCommit,
  onCancel,
}: {
  color: Color;
  /** Colours may be picked that only screens with the gamut of Display P3 show. */
  wide: boolean;
  onShow(color: Color): void;
  onCommit(color: Color): void;
  /** What was shown is not to be kept. */
  onCancel(): void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [lightness, chroma, hue] = convert(color, 'oklch').coords;
  const shownHue = Math.round(hue);
  const gamut: Gamut = wide ? 'display-p3' : 'srgb';
  const edges = useMemo(() => GAMUTS.map(it => [it, edgeOf(shownHue, it)] as const), [shownHue]);

  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!element || !context) return;
    const image = context.createImageData(COLUMNS, ROWS);
    for (let y = 0; y < ROWS; y++)
      for (let x = 0; x < COLUMNS; x++) {
        const it: Color = {
          space: 'oklch',
          coords: [x / (COLUMNS - 1), (1 - y / (ROWS - 1)) * MOST, shownHue],
          alpha: 1,
        };
        if (!inGamut(it, gamut)) continue;
        image.data.set([...paintedBytes(it), inGamut(it) ? 255 : BEYOND], (y * COLUMNS + x) * 4);
      }
    context.putImageData(image, 0, 0);
  }, [shownHue, gamut]);

  const at = ({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>): Color => {
    const box = currentTarget.getBoundingClientRect();
    const share = (n: number) => Math.min(1, Math.max(0, n));
    const l = share((clientX - box.x) / box.width);
    const c = (1 - share((clientY - box.y) / box.height)) * MOST;
    return roundColor({
      space: 'oklch',
      coords: [l, Math.min(c, maxChroma(l, hue, gamut)), hue],
      alpha: color.alpha,
    });
  };

  return (
    <div>
      {/* The sliders below do the same by keyboard. */}
      <div
        aria-hidden
        className="relative h-[104px] cursor-crosshair touch-none overflow-hidden rounded-sm border border-hair bg-[repeating-linear-gradient(45deg,transparent_0_4px,var(--hair)_4px_5px)]"
        {...planeDrag(at, { onShow, onCommit, onCancel })}
      >
        <canvas
          ref={canvas}
          width={COLUMNS}
          height={ROWS}
          className="pointer-events-none absolute inset-0 size-full"
        />
        <svg
          className="pointer-events-none absolute inset-0 size-full"
          viewBox="0 0 100 100"
          preserveAspectRatio="none"
        >
          <title>Edges of sRGB and of Display P3</title>
          {edges.map(([it, points]) => (
            <polyline
              key={it}
              points={points}
              fill="none"
              stroke="currentColor"
              strokeWidth="1"
              strokeDasharray={it === 'srgb' ? undefined : '3 3'}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </svg>
        <span
          className="pointer-events-none absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white outline-1 outline-black"
          style={{
            left: `${lightness * 100}%`,
            top: `${(1 - Math.min(1, chroma / MOST)) * 100}%`,
          }}
        />
      </div>
      <p className="mt-0.5 flex gap-3 text-[10.5px] text-muted" aria-hidden>
        <span>— sRGB, every screen</span>
        <span>┄ Display P3, wide screens</span>
      </p>
    </div>
  );
}
