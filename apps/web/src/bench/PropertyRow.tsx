import { type AssetRecord, pictureIn, type PropertyRow as Row, type Width } from '@cove/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useId, useState } from 'react';
import { DrawnValue } from '../tokens/picker/DrawnValue.tsx';
import { ValueField } from '../tokens/picker/ValueField.tsx';
import { DragLabel } from '../ui/DragLabel.tsx';
import { useLocked } from '../ui/locked.ts';
import { FocusControl } from './FocusControl.tsx';
import { GroundControl } from './GroundControl.tsx';
import { PictureFocus } from './PictureFocus.tsx';
import { Remarks } from './Remarks.tsx';
import { RemoveButton } from './RemoveButton.tsx';
import { ThreadMark } from './ThreadMark.tsx';
import { ThreadView } from './ThreadView.tsx';
import { type Property, useProperty } from './useProperty.ts';
import { wantsOf } from './wants.ts';

interface Props extends Omit<Property, 'also' | 'label' | 'mixed'> {
  also?: Property['also'];
  mixed?: string;
  /** What it is called here, where its own name does not tell which part is meant. */
  label?: string;
  /** A shorter name, below that of what it belongs to. */
  short?: string;
  /** Its place below what it belongs to. */
  indent?: boolean;
  noEffect: string | null;
  /** Other widths at which it is something else. */
  differs?: readonly Width[];
  /** How many of the other selected things have something else. */
  varies?: number;
  /** What a choice will alter. */
  impact?: string | undefined;
  /** Shows and hides the longhands one by one. */
  sides?: { open: boolean; label: string; onToggle(): void };
  onBox?: ((box: Row['box'] | null) => void) | undefined;
}

const NOWHERE: readonly Width[] = [];
const NO_ROWS: readonly Row[] = [];
/** The longest bar of a row in px of the page. */
const BAR = 96;

/** One property: its name, a drawing of its value, the value itself, and its thread. */
export function PropertyRow({
  site,
  scope,
  row,
  also = NO_ROWS,
  mixed,
  label = row.label,
  short = label,
  indent = false,
  asked,
  target,
  value,
  knot,
  noEffect,
  differs = NOWHERE,
  varies = 0,
  impact,
  sides,
  onBox,
}: Props) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const locked = useLocked();
  const property = useProperty({ site, scope, row, also, label, mixed, asked, target, value, knot });
  const { set, show, remove, parse, text, end, near } = property;
  const focus = (asset: AssetRecord, way: 'ground' | 'picture') =>
    scope && <PictureFocus site={site} scope={scope} asset={asset} way={way} asked={asked} target={target} />;
  const shown = scope && row.control === 'focus' && !locked ? pictureIn(site, scope.node) : null;

  return (
    <li data-property={row.name}>
      <div
        data-picker-row
        className={`grid items-center gap-x-1 ${indent ? 'grid-cols-[88px_minmax(76px,1fr)_minmax(0,auto)_24px] pl-4' : 'grid-cols-[104px_minmax(92px,1fr)_minmax(0,auto)_24px]'}`}
      >
        <span className="flex min-w-0 items-center">
          <DragLabel
            htmlFor={id}
            title={`${label} (${[row, ...also].map(it => it.css).join(', ')})`}
            className={knot ? '' : 'text-muted'}
            {...(property.onStep && { onStep: property.onStep })}
          >
            {short}
          </DragLabel>
          {sides && (
            <button
              type="button"
              aria-expanded={sides.open}
              aria-label={sides.label}
              title={sides.label}
              onClick={sides.onToggle}
              className="rounded-sm p-0.5 text-muted hover:text-teal"
            >
              {sides.open ? <ChevronDown size={12} aria-hidden /> : <ChevronRight size={12} aria-hidden />}
            </button>
          )}
        </span>
        <div className="flex min-w-0 items-center gap-1">
          {(row.control === 'text' || row.control === 'color') && (
            <span className="flex w-4.5 shrink-0 items-center justify-center overflow-hidden" aria-hidden>
              {/* Its room is kept, so that nothing moves under the hand once there is a value. */}
              {end && <DrawnValue site={site} end={end} use={row.use} most={BAR} longest={18} />}
            </span>
          )}
          <span className="flex items-center">
            {(row.control === 'ground' || row.control === 'mask') && (
              <GroundControl
                site={site}
                scope={scope}
                row={{ ...row, label }}
                value={value}
                onShow={show}
                onCommit={set}
                {...(row.control === 'ground' && { focus: asset => focus(asset, 'ground') })}
              />
            )}
            {shown && <FocusControl label={label}>{focus(shown, 'picture')}</FocusControl>}
          </span>
          {row.control === 'choice' ? (
            <select
              id={id}
              aria-label={label}
              value={mixed ?? text}
              disabled={locked}
              onChange={event => set({ type: 'keyword', value: event.target.value })}
              className="h-6 min-w-0 flex-1 rounded-sm border border-transparent bg-transparent hover:border-hair"
            >
              {(mixed !== undefined || text === '') && (
                <option value={mixed ?? ''}>{mixed ?? 'not set'}</option>
              )}
              {row.keywords?.map(word => (
                <option key={word} value={word}>
                  {row.keywordLabels?.[word] ?? word}
                </option>
              ))}
            </select>
          ) : (
            <ValueField
              id={id}
              label={label}
              className="flex-1"
              site={site}
              scope={scope}
              wants={wantsOf(row)}
              value={mixed === undefined ? value : null}
              {...(mixed !== undefined && { mixed })}
              beneath={property.beneath}
              parse={parse}
              onShow={show}
              onCommit={(next, before) => (next ? set(next, before) : knot && remove())}
              impact={impact}
              onFocus={() => onBox?.(row.box ?? null)}
              onBlur={() => onBox?.(null)}
            />
          )}
        </div>
        <Remarks end={end} value={value} differs={differs} varies={varies}>
          {property.isLoose && (
            <span className="text-small text-madder" title="This value is not a token of the guide">
              loose
            </span>
          )}
          {near && (
            <button
              type="button"
              title={`Tie it to ${near.name}`}
              aria-label={`Use ${near.name} for ${label.toLowerCase()}`}
              className="max-w-24 truncate text-small text-teal hover:underline"
              onClick={() => set({ type: 'token', token: near.id })}
            >
              Use {near.name}
            </button>
          )}
        </Remarks>
        {scope ? (
          <ThreadMark knot={knot} open={open} label={label} onToggle={() => setOpen(!open)} />
        ) : knot && !locked ? (
          <RemoveButton label={label} onClick={remove} />
        ) : (
          <span />
        )}
      </div>
      {noEffect && <p className="pb-1 text-small text-muted">No effect here: {noEffect}</p>}
      {open && scope && (
        <ThreadView
          site={site}
          scope={scope}
          asked={{ ...asked, property: row.name }}
          target={target}
          own={knot ? property.slot : null}
          {...(also.length > 0 && { together: property.slots })}
        />
      )}
    </li>
  );
}
