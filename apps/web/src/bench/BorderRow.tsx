import { parsePropertyValue, printSlot, type PropertyRow as Row } from '@cove/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { colorOf } from '../tokens/picker/endOf.ts';
import { ValueField } from '../tokens/picker/ValueField.tsx';
import { Chip } from '../ui/Chip.tsx';
import { useKeptChoice } from '../ui/KeptChoices.tsx';
import { useLocked } from '../ui/locked.ts';
import { asksForMember, type BundleEntry, commonValue, type Entry, type Held } from './held.ts';
import type { Setting } from './PropertyList.tsx';
import { RemoveButton } from './RemoveButton.tsx';
import { ThreadMark } from './ThreadMark.tsx';
import { ThreadView } from './ThreadView.tsx';
import { useSetSlots } from './useSetSlots.ts';
import { wantsOf } from './wants.ts';

type Border = Extract<Entry, { kind: 'border' }>;

/** Width, style and colour of a border in one row; a row for each side where they differ, or where that is wanted. */
export function BorderRow({
  entry,
  words,
  ...setting
}: Setting & { entry: Border; words: readonly string[] }) {
  const parts = [entry.width, entry.style, entry.color];
  const { side: only } = entry;
  const differ = parts.some(it => commonValue(it.members) === null);
  const asked = words.length > 0 && parts.every(it => asksForMember(it.bundle, words));
  const [kept, setOpen] = useKeptChoice('open border');
  const open = kept || asked || differ;
  const Mark = open ? ChevronDown : ChevronRight;
  const side = (at: number) =>
    parts.map((it): BundleEntry => ({ ...it, members: it.members.slice(at, at + 1) }));
  if (only !== null) return <SideRow label={`Border ${only.toLowerCase()}`} parts={parts} {...setting} />;
  return (
    <>
      <SideRow label="Border" parts={parts} {...setting}>
        {!differ && (
          <button
            type="button"
            aria-expanded={open}
            aria-label="Border: each side"
            title="Border: each side"
            onClick={() => setOpen(!open)}
            className="rounded-sm p-0.5 text-muted hover:text-teal"
          >
            <Mark size={12} aria-hidden />
          </button>
        )}
      </SideRow>
      {open &&
        entry.width.bundle.members.map(([name, label], at) => (
          <SideRow
            key={name}
            label={`Border ${label.toLowerCase()}`}
            short={label}
            indent
            parts={side(at)}
            {...setting}
          />
        ))}
    </>
  );
}

function SideRow({
  label,
  short = label,
  indent = false,
  parts,
  children,
  ...setting
}: Setting & {
  label: string;
  short?: string;
  indent?: boolean;
  /** Width, style and colour, each of the sides that this row is about. */
  parts: readonly BundleEntry[];
  children?: ReactNode;
}) {
  const { site, scope, asked, target } = setting;
  const [open, setOpen] = useState(false);
  const locked = useLocked();
  const all = parts.flatMap(it => it.members);
  const { remove } = useSetSlots({ rows: all.map(it => it.row), asked, target, label });
  const knot = all.every(it => it.knot);
  const some = all.some(it => it.knot);
  const [width, style, color] = parts;
  return (
    <li data-property={label}>
      <div
        data-picker-row
        className={`grid items-center gap-x-1 ${indent ? 'grid-cols-[56px_minmax(0,1fr)_24px] pl-4' : 'grid-cols-[76px_minmax(0,1fr)_24px]'}`}
      >
        <span className="flex min-w-0 items-center">
          <span className={`truncate ${some ? '' : 'text-muted'}`}>{short}</span>
          {children}
        </span>
        <div className="grid min-w-0 grid-cols-[minmax(0,4fr)_minmax(0,5fr)_minmax(0,6fr)] items-center gap-1">
          {width && <Aspect label={`${label} width`} members={width.members} {...setting} />}
          {style && <Aspect label={`${label} style`} members={style.members} {...setting} />}
          {color && (
            <span className="flex min-w-0 items-center gap-1">
              <Chip color={colorOf(site, scope, commonValue(color.members)?.value ?? null)} />
              <Aspect label={`${label} colour`} members={color.members} {...setting} />
            </span>
          )}
        </div>
        {scope ? (
          <ThreadMark knot={knot} open={open} label={label} onToggle={() => setOpen(!open)} />
        ) : knot && !locked ? (
          <RemoveButton label={label} onClick={remove} />
        ) : (
          <span />
        )}
      </div>
      {all[0]?.noEffect && all.every(it => it.noEffect === all[0]?.noEffect) && (
        <p className="pb-1 text-small text-muted">No effect here: {all[0].noEffect}</p>
      )}
      {open &&
        scope &&
        parts.map(({ bundle, members }) => {
          const [first] = members;
          const slots = members.map(it => printSlot({ ...asked, property: it.row.name }));
          return (
            first && (
              <div key={bundle.name}>
                <h4 className="pl-[22px] text-small text-muted">{bundle.label}</h4>
                <ThreadView
                  site={site}
                  scope={scope}
                  asked={{ ...asked, property: first.row.name }}
                  target={target}
                  own={first.knot ? (slots[0] ?? null) : null}
                  together={slots}
                />
              </div>
            )
          );
        })}
    </li>
  );
}

/** One of the three, for all the sides at once. */
function Aspect({ label, members, ...setting }: Setting & { label: string; members: readonly Held[] }) {
  const { site, scope, asked, target, impact } = setting;
  const locked = useLocked();
  const { set, show } = useSetSlots({ rows: members.map(it => it.row), asked, target, label });
  const row: Row | undefined = members[0]?.row;
  if (!row) return null;
  const common = commonValue(members);
  const value = common?.value ?? null;
  if (row.control === 'choice')
    return (
      <select
        aria-label={label}
        value={value?.type === 'keyword' ? value.value : ''}
        disabled={locked}
        onChange={event => set({ type: 'keyword', value: event.target.value })}
        className="h-6 min-w-0 rounded-sm border border-transparent bg-transparent hover:border-hair"
      >
        {value === null && <option value="">{common ? 'not set' : 'differ'}</option>}
        {row.keywords?.map(word => (
          <option key={word} value={word}>
            {row.keywordLabels?.[word] ?? word}
          </option>
        ))}
      </select>
    );
  return (
    <ValueField
      label={label}
      className="flex-1"
      site={site}
      scope={scope}
      wants={wantsOf(row)}
      value={value}
      {...(common === null && { mixed: 'differ' })}
      parse={text => parsePropertyValue(text, row, site.kinds.token, site.kinds.role)}
      onShow={show}
      onCommit={(next, before) => next && set(next, before)}
      impact={impact}
    />
  );
}
