import { type Edit, parsePropertyValue, propertyOf, type Site, type Value } from '@cove/core';
import { X } from 'lucide-react';
import { Slider } from 'radix-ui';
import { drawnCss } from '../drawings/drawn.ts';
import { Button } from '../ui/Button.tsx';
import { Chip } from '../ui/Chip.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';
import { colorOf } from './picker/endOf.ts';
import { tokenWants } from './picker/tokenWants.ts';
import { ValueField } from './picker/ValueField.tsx';

type Gradient = Extract<Value, { type: 'gradient' }>;
type Stop = Gradient['stops'][number];

const COLOR = propertyOf('backgroundColor');
const MOST = 12;
const DIRECTIONS: Readonly<Record<number, string>> = {
  0: 'Upwards',
  45: 'Up to the right',
  90: 'To the right',
  135: 'Down to the right',
  180: 'Downwards',
  225: 'Down to the left',
  270: 'To the left',
  315: 'Up to the left',
};

const byPlace = (stops: readonly Stop[]): Stop[] => [...stops].sort((a, b) => a.at - b.at);
const percent = ({ at }: Stop) => Math.round(at * 100);

/** A gradient with its stops, which can be seen, moved, added and removed. */
export function GradientEditor({
  site,
  value,
  onShow,
  onCommit,
}: {
  site: Site;
  value: Gradient;
  onShow(value: Value | null): void;
  onCommit(value: Value, before?: readonly Edit[]): void;
}) {
  const stops = byPlace(value.stops);
  const withStops = (next: readonly Stop[]): Gradient => ({ ...value, stops: next });
  const moved = (places: readonly number[]) =>
    withStops(stops.map((stop, i) => ({ ...stop, at: (places[i] ?? percent(stop)) / 100 })));
  const changed = (at: number, next: Partial<Stop>) =>
    withStops(stops.map((stop, i) => (i === at ? { ...stop, ...next } : stop)));
  const add = () => {
    // In the widest gap, in the colour before it.
    const gaps = stops.map((stop, i) => (stops[i + 1]?.at ?? 1) - stop.at);
    const widest = gaps.indexOf(Math.max(...gaps));
    const before = stops[widest];
    if (!before) return;
    const at = before.at + (gaps[widest] ?? 0) / 2;
    onCommit(withStops(byPlace([...stops, { ...before, at }])));
  };
  const drawn = drawnCss(site, { ...value, shape: 'linear', angle: 90 });
  return (
    <section aria-label="Stops" className="grid gap-2">
      <Slider.Root
        className="relative flex h-8 touch-none items-center"
        min={0}
        max={100}
        step={1}
        value={stops.map(percent)}
        onValueChange={places => onShow(moved(places))}
        onValueCommit={places => {
          onShow(null);
          onCommit(moved(places));
        }}
      >
        <Slider.Track
          className="h-5 flex-1 rounded-sm border border-black/15"
          style={{ background: drawn }}
        />
        {stops.map((stop, i) => (
          <Slider.Thumb
            // biome-ignore lint/suspicious/noArrayIndexKey: stops are told apart by their turn alone
            key={i}
            aria-label={`Place of stop ${i + 1}`}
            className="flex h-8 w-3 items-center justify-center rounded-sm border border-ink bg-paper"
          >
            <Chip color={colorOf(site, null, stop.color)} />
          </Slider.Thumb>
        ))}
      </Slider.Root>
      <ul className="grid gap-1">
        {stops.map((stop, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: stops are told apart by their turn alone
            key={i}
            data-picker-row
            className="grid grid-cols-[18px_minmax(0,1fr)_40px_20px] items-center gap-1"
          >
            <Chip color={colorOf(site, null, stop.color)} />
            <ValueField
              label={`Colour of stop ${i + 1}`}
              className="[&_input]:border-hair"
              site={site}
              scope={null}
              wants={{ ...tokenWants('color', true), roles: true }}
              value={stop.color}
              parse={text => parsePropertyValue(text, COLOR, site.kinds.token, site.kinds.role)}
              onShow={color => onShow(color && changed(i, { color }))}
              onCommit={(color, before) => color && onCommit(changed(i, { color }), before)}
            />
            <span className="text-right font-mono text-[11px] text-muted">{percent(stop)} %</span>
            {stops.length > 2 && (
              <button
                type="button"
                aria-label={`Remove stop ${i + 1}`}
                className="rounded-sm text-muted hover:text-teal"
                onClick={() => onCommit(withStops(stops.filter((_, k) => k !== i)))}
              >
                <X size={13} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      {stops.length < MOST && (
        <Button kind="link" className="h-5! justify-self-start text-small" onClick={add}>
          Add a stop
        </Button>
      )}
      <div className="flex items-center gap-3">
        <span className="shrink-0">
          <Choice<'linear' | 'radial'>
            label="Shape of the gradient"
            value={value.shape}
            options={[
              { value: 'linear', label: 'Linear' },
              { value: 'radial', label: 'Radial' },
            ]}
            onChange={shape => onCommit({ ...value, shape })}
          />
        </span>
        {value.shape === 'linear' && (
          <Select
            hideLabel
            label="Direction"
            value={String(value.angle)}
            options={[...new Set([...Object.keys(DIRECTIONS), String(value.angle)])].map(it => ({
              value: it,
              label: DIRECTIONS[Number(it)] ?? `${it} degrees`,
            }))}
            onChange={angle => onCommit({ ...value, angle: Number(angle) })}
          />
        )}
      </div>
    </section>
  );
}
