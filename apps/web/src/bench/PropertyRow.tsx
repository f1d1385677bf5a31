import {
  type Asked,
  type AssetRecord,
  type Edit,
  isLoose,
  parsePropertyValue,
  printSlot,
  printTyped,
  type PropertyRow as Row,
  type Scope,
  type Site,
  type StyleTarget,
  setSlots,
  type Value,
  type Width,
} from '@cove/core';
import { Link2, Unlink2, X } from 'lucide-react';
import { useState } from 'react';
import { useCommit, useSession } from '../session/context.tsx';
import { useKeptChoice } from '../ui/KeptChoices.tsx';
import { useLocked } from '../ui/locked.ts';
import { TypedField } from '../ui/TypedField.tsx';
import { havingPart, useAlsoTo } from './alsoTo.ts';
import { ColorControl } from './ColorControl.tsx';
import { FocusControl, pictureIn } from './FocusControl.tsx';
import { GroundControl } from './GroundControl.tsx';
import { PictureFocus } from './PictureFocus.tsx';
import { sidesOf } from './sides.ts';
import { ThreadMark } from './ThreadMark.tsx';
import { ThreadView } from './ThreadView.tsx';

interface Props {
  site: Site;
  scope: Scope | null;
  row: Row;
  /** What it is called here, where its own name does not tell which part is meant. */
  label?: string;
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
  onBox?(box: Row['box'] | null): void;
}

/** A token is known by its group and name, an image by its own; the whole spelling is there to be typed. */
function short(site: Site, value: Value | null, text: string): string {
  if (value?.type === 'picture') return site.kinds.asset.get(value.asset)?.name ?? text;
  if (value?.type === 'pattern') return site.kinds.drawing.get(value.drawing)?.name ?? text;
  return text.replace(/^\{\w+\.(.*)\}$/, '$1');
}

const NOWHERE: readonly Width[] = [];

/** One property: its name, a control made for its type, its value, and its thread. */
export function PropertyRow({
  site,
  scope,
  row,
  label = row.label,
  asked,
  target,
  value,
  knot,
  noEffect,
  differs = NOWHERE,
  varies = 0,
  onBox,
}: Props) {
  const [open, setOpen] = useState(false);
  const session = useSession();
  const locked = useLocked();
  const commit = useCommit();
  const slot = printSlot({ ...asked, property: row.name });
  const sides = sidesOf(row.name);
  /** What is set here goes to all sides, or all corners, at once. */
  const [linked, setLinked] = useKeptChoice(`linked ${sides[0] ?? ''}`);
  const also = useAlsoTo();
  const slots = linked ? sides.map(property => printSlot({ ...asked, property })) : [slot];
  const edits = (next: Value): Edit[] => {
    const values = Object.fromEntries(slots.map(it => [it, next]));
    const others = havingPart(session.site, also, asked.part).map(id => ({ type: 'record', id }) as const);
    return [target, ...others].flatMap(it => setSlots(session.site, it, values));
  };
  const set = (next: Value, before: readonly Edit[] = []) =>
    commit(
      [...before, ...edits(next)],
      `Set ${label.toLowerCase()}${linked ? ' and the other sides' : ''}${also.length > 0 ? ` of ${also.length + 1} things` : ''}`,
    );
  const show = (next: Value | null) => session.show(next && edits(next));
  const focus = (asset: AssetRecord, way: 'ground' | 'picture') =>
    scope && <PictureFocus site={site} scope={scope} asset={asset} way={way} asked={asked} target={target} />;
  const shown = scope && row.control === 'focus' && !locked ? pictureIn(site, scope) : null;
  const text = value ? printTyped(value, site.kinds.token) : '';
  const loose = knot && value !== null && isLoose(value);
  return (
    <li data-property={row.name}>
      <div className="grid grid-cols-[104px_minmax(0,1fr)_auto_24px] items-center gap-x-1">
        <span className={`truncate ${knot ? '' : 'text-muted'}`} title={`${label} (${row.css})`}>
          {label}
        </span>
        <div className="flex min-w-0 items-center gap-0.5">
          <span className="flex items-center">
            {row.control === 'color' && (
              <ColorControl site={site} scope={scope} row={row} value={value} onShow={show} onCommit={set} />
            )}
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
              aria-label={label}
              value={text}
              disabled={locked}
              onChange={event => set({ type: 'keyword', value: event.target.value })}
              className="h-6 min-w-0 flex-1 rounded-sm border border-transparent bg-transparent font-mono text-[12px] hover:border-hair"
            >
              {text === '' && <option value="">not set</option>}
              {row.keywords?.map(word => (
                <option key={word} value={word}>
                  {row.keywordLabels?.[word] ?? word}
                </option>
              ))}
            </select>
          ) : (
            <TypedField
              label={label}
              hideLabel
              className="flex-1"
              text={text}
              display={short(site, value, text)}
              parse={typed => parsePropertyValue(typed, row, site.kinds.token, site.kinds.role)}
              onCommit={set}
              onFocus={() => onBox?.(row.box ?? null)}
              onBlur={() => onBox?.(null)}
            />
          )}
        </div>
        <span className="flex items-center gap-1">
          {differs.length > 0 && (
            <span
              className="font-mono text-[10px] text-muted"
              title={`Something else when ${differs.join(' and ')}`}
            >
              <span aria-hidden>≠ {differs.map(it => it.charAt(0)).join(' ')}</span>
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
          {loose && (
            <span className="text-small text-madder" title="This value is not a token of the guide">
              loose
            </span>
          )}
          {sides.length > 0 && !locked && (
            <button
              type="button"
              aria-pressed={linked}
              aria-label={`Link ${row.label.toLowerCase()} with the other ${/^Corner/.test(row.label) ? 'corners' : 'sides'}`}
              title={linked ? 'All of them are set together' : 'Set all of them together'}
              onClick={() => setLinked(!linked)}
              className="flex size-5 items-center justify-center rounded-sm text-muted hover:text-teal aria-pressed:text-teal"
            >
              {linked ? <Link2 size={13} aria-hidden /> : <Unlink2 size={13} aria-hidden />}
            </button>
          )}
        </span>
        {scope ? (
          <ThreadMark knot={knot} open={open} label={label} onToggle={() => setOpen(!open)} />
        ) : knot && !locked ? (
          // What stands nowhere has no thread, in which it could be taken away.
          <button
            type="button"
            aria-label={`Take ${label.toLowerCase()} out`}
            className="flex size-6 items-center justify-center rounded-sm text-muted hover:text-teal"
            onClick={() =>
              commit(
                setSlots(site, target, Object.fromEntries(slots.map(it => [it, null]))),
                `Take ${label.toLowerCase()} out`,
              )
            }
          >
            <X size={13} aria-hidden />
          </button>
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
        />
      )}
    </li>
  );
}
