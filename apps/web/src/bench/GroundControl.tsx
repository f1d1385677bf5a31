import {
  type AssetRecord,
  byOrder,
  type Edit,
  type PropertyRow,
  parsePropertyValue,
  propertyOf,
  role,
  type Scope,
  type Site,
  type Tint,
  token,
  type Value,
} from '@cove/core';
import { Image } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type ReactNode, useRef } from 'react';
import { DrawnIcon } from '../drawings/DrawnIcon.tsx';
import { drawnCss } from '../drawings/drawn.ts';
import { PictureChoice } from '../pictures/PictureChoice.tsx';
import { colorOf } from '../tokens/picker/endOf.ts';
import { ValueField } from '../tokens/picker/ValueField.tsx';
import { Chip } from '../ui/Chip.tsx';
import { Floating } from '../ui/Floating.tsx';
import { useLocked } from '../ui/locked.ts';
import { wantsOf } from './wants.ts';

type Imaged = Value & { type: 'picture' | 'pattern' };
const isImage = (value: Value | null): value is Imaged =>
  value?.type === 'picture' || value?.type === 'pattern';

const COLOR = propertyOf('backgroundColor');

/** How much of the image the tint covers: shown while it is dragged, kept when it is let go. */
function Share({
  image,
  tint,
  onShow,
  onCommit,
}: { image: Imaged; tint: Tint } & Pick<Props, 'onShow' | 'onCommit'>) {
  const dragged = useRef<number | null>(null);
  const finish = () => {
    if (dragged.current !== null) onCommit({ ...image, tint: { ...tint, share: dragged.current } });
    dragged.current = null;
  };
  return (
    <label className="flex items-center gap-2">
      Covers
      <input
        type="range"
        min={0}
        max={100}
        value={Math.round(tint.share * 100)}
        aria-label="How much it covers"
        className="min-w-0 flex-1 accent-teal"
        onChange={event => {
          dragged.current = Number(event.target.value) / 100;
          onShow({ ...image, tint: { ...tint, share: dragged.current } });
        }}
        onPointerUp={finish}
        onKeyUp={finish}
        onBlur={finish}
      />
      <span className="w-9 text-right font-mono text-[11px]">{Math.round(tint.share * 100)} %</span>
    </label>
  );
}

type Gradient = Value & { type: 'gradient' };
/** Two colours that meet in a line: a gradient whose stops stand at one place. */
const PARTED: Gradient = {
  type: 'gradient',
  shape: 'linear',
  angle: 180,
  stops: [
    { color: role('surface'), at: 0.5 },
    { color: role('raised'), at: 0.5 },
  ],
};

/** Two colours parted by a line, or running into each other; nothing else where the ground is something else. */
function TwoColors({
  value,
  color,
  onShow,
  onCommit,
}: Pick<Props, 'value' | 'onShow' | 'onCommit'> & {
  color(label: string, now: Value | null, put: (color: Value) => Value): ReactNode;
}) {
  const gradient =
    value?.type === 'gradient' && value.shape === 'linear' && value.stops.length === 2 ? value : null;
  const parted = gradient && gradient.stops[0]?.at === gradient.stops[1]?.at;
  const moved = (at: number): Gradient => ({
    ...(gradient ?? PARTED),
    stops: (gradient ?? PARTED).stops.map(stop => ({ ...stop, at })),
  });
  const last = useRef<number | null>(null);
  const finish = () => {
    if (last.current !== null) onCommit(moved(last.current));
    last.current = null;
  };
  if (!gradient)
    return (
      <button
        type="button"
        className="justify-self-start text-teal hover:underline"
        onClick={() => onCommit(PARTED)}
      >
        Two colours, split
      </button>
    );
  return (
    <section className="grid gap-1">
      <h4 className="label-line">Two colours</h4>
      {gradient.stops.map((stop, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the two are told apart by their turn alone
        <span key={i}>
          {color(i === 0 ? 'First colour' : 'Second colour', stop.color, color => ({
            ...gradient,
            stops: gradient.stops.map((it, k) => (k === i ? { ...it, color } : it)),
          }))}
        </span>
      ))}
      <label className="flex items-center gap-2">
        Direction
        <select
          value={gradient.angle}
          aria-label="Direction"
          className="h-6 min-w-0 flex-1 rounded-sm border border-hair bg-paper"
          onChange={event => onCommit({ ...gradient, angle: Number(event.target.value) })}
        >
          {[...new Set([...Object.keys(DIRECTIONS).map(Number), gradient.angle])].map(angle => (
            <option key={angle} value={angle}>
              {DIRECTIONS[angle] ?? `${angle} degrees`}
            </option>
          ))}
        </select>
      </label>
      {parted && (
        <label className="flex items-center gap-2">
          Split at
          <input
            type="range"
            min={0}
            max={100}
            value={Math.round((gradient.stops[0]?.at ?? 0.5) * 100)}
            aria-label="Split position"
            className="min-w-0 flex-1 accent-teal"
            onChange={event => {
              last.current = Number(event.target.value) / 100;
              onShow(moved(last.current));
            }}
            onPointerUp={finish}
            onKeyUp={finish}
            onBlur={finish}
          />
        </label>
      )}
    </section>
  );
}
const DIRECTIONS: Readonly<Record<number, string>> = {
  180: 'First above',
  90: 'First at the left',
  135: 'Slanting down',
  45: 'Slanting up',
};

interface Props {
  site: Site;
  scope: Scope | null;
  row: PropertyRow;
  value: Value | null;
  onShow(value: Value | null): void;
  onCommit(value: Value, before?: readonly Edit[]): void;
  /** Where the focus of a picture is set. */
  focus?(asset: AssetRecord): ReactNode;
}

/** Gradients of the guide, the brand's own drawings and the site's pictures; for the latter two what is laid over them. */
export function GroundControl({ site, scope, row, value, onShow, onCommit, focus }: Props) {
  const locked = useLocked();
  if (locked) return null;
  const gradients = [...site.kinds.token.values()].filter(it => it.type === 'gradient').sort(byOrder);
  const drawings = [...site.kinds.drawing.values()].sort(byOrder);
  const image = isImage(value) ? value : null;
  const picture = image?.type === 'picture' ? site.kinds.asset.get(image.asset) : undefined;
  const color = (label: string, now: Value | null, put: (color: Value) => Value) => (
    <span data-picker-row className="grid flex-1 grid-cols-[72px_18px_minmax(0,1fr)] items-center gap-1.5">
      <span aria-hidden>{label}</span>
      <Chip color={colorOf(site, scope, now)} />
      <ValueField
        label={label}
        site={site}
        scope={scope}
        wants={wantsOf(COLOR)}
        value={now}
        parse={text => parsePropertyValue(text, COLOR, site.kinds.token, site.kinds.role)}
        onShow={it => onShow(it && put(it))}
        onCommit={(it, before) => it && onCommit(put(it), before)}
      />
    </span>
  );
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Choose ${row.label.toLowerCase()}`}
        className="flex size-5 items-center justify-center rounded-sm text-muted hover:text-teal"
      >
        <Image size={14} aria-hidden />
      </Popover.Trigger>
      <Floating label={row.label} width={272}>
        <div className="grid gap-3">
          <section>
            <h4 className="label-line mb-1">Gradients</h4>
            <div className="grid grid-cols-5 gap-1">
              {gradients.map(it => (
                <button
                  key={it.id}
                  type="button"
                  aria-label={it.name}
                  title={it.name}
                  aria-pressed={value?.type === 'token' && value.token === it.id}
                  onClick={() => onCommit(token(it.id))}
                  className="h-7 rounded-sm border border-black/15 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-teal"
                  style={{ background: drawnCss(site, it.value) }}
                />
              ))}
            </div>
            {gradients.length === 0 && <p className="text-muted">None in the guide yet.</p>}
          </section>
          <TwoColors value={value} color={color} onShow={onShow} onCommit={onCommit} />
          <section>
            <h4 className="label-line mb-1">Drawings of the brand</h4>
            <div className="flex flex-wrap gap-1">
              {drawings.map(it => (
                <button
                  key={it.id}
                  type="button"
                  aria-label={it.name}
                  title={it.name}
                  aria-pressed={value?.type === 'pattern' && value.drawing === it.id}
                  onClick={() =>
                    onCommit({
                      type: 'pattern',
                      drawing: it.id,
                      ink: value?.type === 'pattern' ? value.ink : role('line'),
                      tint: image?.tint ?? null,
                    })
                  }
                  className="flex h-8 min-w-8 items-center justify-center rounded-sm border border-hair px-1 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-teal"
                >
                  <DrawnIcon site={site} name={it.id} size={20} />
                </button>
              ))}
            </div>
            {drawings.length === 0 && <p className="text-muted">Add SVG files under Icons and marks.</p>}
          </section>
          <PictureChoice
            site={site}
            label="Picture"
            chosen={value?.type === 'picture' ? value.asset : null}
            onChoose={asset =>
              onCommit(
                asset === null
                  ? { type: 'keyword', value: 'none' }
                  : { type: 'picture', asset, tint: image?.tint ?? null },
              )
            }
          />
          {picture && focus?.(picture)}
          {image && (
            <section className="grid gap-1 border-t border-hair pt-2">
              {image.type === 'pattern' && color('Ink', image.ink, ink => ({ ...image, ink }))}
              <span className="flex items-center">
                {color('Overlay', image.tint?.color ?? null, color => ({
                  ...image,
                  tint: { color, share: image.tint?.share ?? 0.5 },
                }))}
                {image.tint && (
                  <button
                    type="button"
                    className="ml-auto text-small text-teal hover:underline"
                    onClick={() => onCommit({ ...image, tint: null })}
                  >
                    Take it off
                  </button>
                )}
              </span>
              {image.tint && <Share image={image} tint={image.tint} onShow={onShow} onCommit={onCommit} />}
            </section>
          )}
        </div>
      </Floating>
    </Popover.Root>
  );
}
