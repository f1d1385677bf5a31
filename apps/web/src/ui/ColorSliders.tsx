import { type Color, convert, maxChroma, printPainted, roundColor } from '@cove/core';
import { useId } from 'react';

interface Axis {
  name: string;
  index: 0 | 1 | 2;
  max: number;
  step: number;
}
const AXES: readonly Axis[] = [
  { name: 'Lightness', index: 0, max: 1, step: 0.002 },
  { name: 'Chroma', index: 1, max: 0.37, step: 0.001 },
  { name: 'Hue', index: 2, max: 360, step: 0.5 },
];
const STOPS = 13;

/** Lightness, chroma and hue in OKLCH, and alpha. While a slider moves `onShow` is told; when it rests, `onCommit`. */
export function ColorSliders({
  color,
  onShow,
  onCommit,
}: {
  color: Color;
  onShow(color: Color): void;
  onCommit(color: Color): void;
}) {
  const id = useId();
  const own = convert(color, 'oklch');
  const [l, c, h] = own.coords;
  const edge = maxChroma(l, h);
  const at = (index: 0 | 1 | 2, value: number): Color => {
    const coords: [number, number, number] = [l, c, h];
    coords[index] = value;
    return roundColor({ space: 'oklch', coords, alpha: color.alpha });
  };
  const gradient = ({ index, max }: Axis) =>
    `linear-gradient(to right in oklab, ${Array.from({ length: STOPS }, (_, i) => printPainted({ ...at(index, (i / (STOPS - 1)) * max), alpha: 1 })).join(', ')})`;
  const slider = (
    name: string,
    value: number,
    max: number,
    step: number,
    background: string,
    make: (value: number) => Color,
    text: string,
    limit?: number,
  ) => (
    <div key={name} className="grid grid-cols-[64px_1fr_52px] items-center gap-2">
      <label htmlFor={`${id}-${name}`} className="text-small text-muted">
        {name}
      </label>
      <div className="relative">
        <input
          id={`${id}-${name}`}
          type="range"
          min={0}
          max={max}
          step={step}
          value={value}
          onChange={event => onShow(make(event.target.valueAsNumber))}
          onPointerUp={event => onCommit(make(event.currentTarget.valueAsNumber))}
          onKeyUp={event => onCommit(make(event.currentTarget.valueAsNumber))}
          className="block h-3 w-full appearance-none rounded-full [&::-webkit-slider-thumb]:size-4 [&::-webkit-slider-thumb]:appearance-none [&::-webkit-slider-thumb]:rounded-full [&::-webkit-slider-thumb]:border-2 [&::-webkit-slider-thumb]:border-paper [&::-webkit-slider-thumb]:bg-ink"
          style={{ background }}
        />
        {limit !== undefined && limit < max && (
          <span
            title="Beyond here sRGB screens cannot show it"
            className="pointer-events-none absolute -top-1 h-5 w-px bg-ink"
            style={{ left: `${(limit / max) * 100}%` }}
          />
        )}
      </div>
      <output className="text-right font-mono text-[11px] text-muted">{text}</output>
    </div>
  );
  return (
    <div className="grid gap-2">
      {AXES.map(axis => {
        const value = own.coords[axis.index];
        const text =
          axis.index === 2
            ? `${Math.round(value)}°`
            : axis.index === 0
              ? `${(value * 100).toFixed(1)}%`
              : value.toFixed(3);
        return slider(
          axis.name,
          value,
          axis.max,
          axis.step,
          gradient(axis),
          next => at(axis.index, next),
          text,
          axis.index === 1 ? edge : undefined,
        );
      })}
      {slider(
        'Alpha',
        color.alpha,
        1,
        0.01,
        `linear-gradient(to right, transparent, ${printPainted({ ...color, alpha: 1 })}), repeating-conic-gradient(#bbb 0 25%, #fff 0 50%) 0 / 8px 8px`,
        alpha => ({ ...color, alpha }),
        `${Math.round(color.alpha * 100)}%`,
      )}
    </div>
  );
}
