import {
  type Asked,
  type AssetRecord,
  isLoose,
  nearestToken,
  ok,
  parsePropertyValue,
  printSlot,
  type Result,
  type PropertyRow as Row,
  type Scope,
  type Site,
  type StyleTarget,
  threadOf,
  type Value,
  type Width,
} from '@cove/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { type ReactNode, useId, useState } from 'react';
import { DrawnValue } from '../tokens/picker/DrawnValue.tsx';
import { endOf, literalText, shownText } from '../tokens/picker/endOf.ts';
import { stepped } from '../tokens/picker/stepped.ts';
import { ValueField } from '../tokens/picker/ValueField.tsx';
import { DragLabel } from '../ui/DragLabel.tsx';
import { useLocked } from '../ui/locked.ts';
import { FocusControl, pictureIn } from './FocusControl.tsx';
import { GroundControl } from './GroundControl.tsx';
import { PictureFocus } from './PictureFocus.tsx';
import { RemoveButton } from './RemoveButton.tsx';
import { ThreadMark } from './ThreadMark.tsx';
import { ThreadView } from './ThreadView.tsx';
import { useSetSlots } from './useSetSlots.ts';
import { wantsOf } from './wants.ts';

interface Props {
  site: Site;
  scope: Scope | null;
  row: Row;
  /** Longhands that are set together with it: the other sides, the other corners. */
  also?: readonly Row[];
  /** What is shown where those hold something else. */
  mixed?: string;
  /** What it is called here, where its own name does not tell which part is meant. */
  label?: string;
  /** A shorter name, below that of what it belongs to. */
  short?: string;
  /** Its place below what it belongs to. */
  indent?: boolean;
  asked: Omit<Asked, 'property'>;
  target: StyleTarget;
  /** What holds now; null where nobody says anything. */
  value: Value | null;
  /** True where it is set on the very subject, in this state and width. */
  knot: boolean;
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
  also: together = NO_ROWS,
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
  const rows = [row, ...together];
  const slots = rows.map(it => printSlot({ ...asked, property: it.name }));
  const slot = printSlot({ ...asked, property: row.name });
  const { set, show, remove } = useSetSlots({ rows, asked, target, label });
  const parse = (text: string): Result<Value | null> =>
    text.trim() === '' ? ok(null) : parsePropertyValue(text, row, site.kinds.token, site.kinds.role);
  const focus = (asset: AssetRecord, way: 'ground' | 'picture') =>
    scope && <PictureFocus site={site} scope={scope} asset={asset} way={way} asked={asked} target={target} />;
  const shown = scope && row.control === 'focus' && !locked ? pictureIn(site, scope) : null;
  const end = mixed === undefined ? endOf(site, scope, value) : null;
  const loose = knot && mixed === undefined && value !== null && isLoose(value);
  const near = loose && !locked ? nearestToken(site, row.name, value) : null;
  const tied = near === null ? undefined : site.kinds.token.get(near);
  const reads = (text: string) => {
    const read = parse(text);
    return read.ok ? read.value : null;
  };
  const text = shownText(site, value, reads);
  const step = (by: number) => (mixed === undefined ? stepped(site, value, text, by, parse) : null);
  const canStep = row.control !== 'choice' && (step(1) !== null || step(-1) !== null);
  const beneath =
    knot && scope
      ? (threadOf(site, scope, { ...asked, property: row.name }).overridden.find(it => it.why === 'origin')
          ?.value ?? null)
      : null;

  return (
    <li data-property={row.name}>
      <div
        data-picker-row
        className={`grid items-center gap-x-1 ${indent ? 'grid-cols-[88px_minmax(76px,1fr)_minmax(0,auto)_24px] pl-4' : 'grid-cols-[104px_minmax(92px,1fr)_minmax(0,auto)_24px]'}`}
      >
        <span className="flex min-w-0 items-center">
          <DragLabel
            htmlFor={id}
            title={`${label} (${rows.map(it => it.css).join(', ')})`}
            className={knot ? '' : 'text-muted'}
            {...(canStep && {
              onStep: (by: number, phase: 'drag' | 'done' | 'off') => {
                const next = by === 0 ? null : step(by);
                if (phase === 'drag') show(next);
                else {
                  show(null);
                  if (phase === 'done' && next) set(next);
                }
              },
            })}
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
              beneath={beneath}
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
          {loose && (
            <span className="text-small text-madder" title="This value is not a token of the guide">
              loose
            </span>
          )}
          {tied && (
            <button
              type="button"
              title={`Tie it to ${tied.name}`}
              aria-label={`Use ${tied.name} for ${label.toLowerCase()}`}
              className="max-w-24 truncate text-small text-teal hover:underline"
              onClick={() => set({ type: 'token', token: tied.id })}
            >
              Use {tied.name}
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
          own={knot ? slot : null}
          {...(together.length > 0 && { together: slots })}
        />
      )}
    </li>
  );
}

/** What is said at the end of a row: what a token comes to, and where it is something else. */
function Remarks({
  end,
  value,
  differs,
  varies,
  children,
}: {
  end: Value | null;
  value: Value | null;
  differs: readonly Width[];
  varies: number;
  children: ReactNode;
}) {
  const named = value?.type === 'token' || value?.type === 'role' || value?.type === 'derived';
  return (
    <span className="flex min-w-0 items-center gap-1">
      {differs.length > 0 && (
        <span
          className="font-mono text-[10px] text-muted"
          title={`Something else when ${differs.join(' and ')}`}
        >
          <span aria-hidden>≠ {differs.join(' ')}</span>
          <span className="sr-only">, something else when {differs.join(' and ')}</span>
        </span>
      )}
      {varies > 0 && (
        <span
          className="text-small text-muted"
          title={`${varies} of the other selected things ${varies === 1 ? 'has' : 'have'} something else here`}
        >
          {varies} differ{varies === 1 && 's'}
        </span>
      )}
      {named && end && (
        <span className="max-w-24 truncate font-mono text-[11px] text-muted" title={literalText(end)}>
          {literalText(end)}
        </span>
      )}
      {children}
    </span>
  );
}
