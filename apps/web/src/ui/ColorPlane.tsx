import { type Color, convert, inSrgbGamut, maxChroma, roundColor, toSrgbGamut } from '@cove/core';
import { type PointerEvent, useEffect, useRef } from 'react';
import { planeDrag } from './planeDrag.ts';

const COLUMNS = 88;
const ROWS = 44;
/** The most OKLCH chroma that the plane shows. */
const MOST = 0.34;

/** All that sRGB can show of one hue: lightness to the right, chroma upwards, the gamut's edge as a line. */
export function ColorPlane({
  color,
  onShow,
  onCommit,
  onCancel,
}: {
  color: Color;
  onShow(color: Color): void;
  onCommit(color: Color): void;
  /** What was shown is not to be kept. */
  onCancel(): void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [lightness, chroma, hue] = convert(color, 'oklch').coords;
  const shownHue = Math.round(hue);

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
        if (!inSrgbGamut(it)) continue;
        const [r, g, b] = toSrgbGamut(it).coords;
        image.data.set([r * 255, g * 255, b * 255, 255], (y * COLUMNS + x) * 4);
      }
    context.putImageData(image, 0, 0);
  }, [shownHue]);

  const at = ({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>): Color => {
    const box = currentTarget.getBoundingClientRect();
    const share = (n: number) => Math.min(1, Math.max(0, n));
    const l = share((clientX - box.x) / box.width);
    const c = (1 - share((clientY - box.y) / box.height)) * MOST;
    return roundColor({
      space: 'oklch',
      coords: [l, Math.min(c, maxChroma(l, hue)), hue],
      alpha: color.alpha,
    });
  };
  const edge = Array.from({ length: 41 }, (_, i) => {
    const l = i / 40;
    return `${(l * 100).toFixed(1)},${((1 - maxChroma(l, shownHue) / MOST) * 100).toFixed(1)}`;
  }).join(' ');

  return (
    // The sliders below do the same by keyboard.
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
        <title>Edge of the gamut</title>
        <polyline
          points={edge}
          fill="none"
          stroke="currentColor"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <span
        className="pointer-events-none absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white outline-1 outline-black"
        style={{
          left: `${lightness * 100}%`,
          top: `${(1 - Math.min(1, chroma / MOST)) * 100}%`,
        }}
      />
    </div>
  );
}
