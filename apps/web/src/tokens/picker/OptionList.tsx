import type { Id, ScaleUse, Site, Value } from '@cove/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef } from 'react';
import { useReachOfAll } from '../../reach/useReach.ts';
import { DrawnValue } from './DrawnValue.tsx';
import { literalText } from './endOf.ts';
import { canTake, type PickerOption } from './options.ts';

const ROW = 26;
const TALLEST = 12 * ROW;

export const optionId = (list: string, key: string): string => `${list}-${key.replace(/\s+/g, '-')}`;

/** The lines of a picker, of which only those in sight are there. The field keeps the focus and names the current line. */
export function OptionList({
  id,
  label,
  site,
  use,
  options,
  active,
  onPoint,
  onTake,
}: {
  id: string;
  label: string;
  site: Site;
  use: ScaleUse | null;
  options: readonly PickerOption[];
  active: number;
  onPoint(index: number): void;
  onTake(option: PickerOption): void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const reach = useReachOfAll();
  const virtual = useVirtualizer({
    count: options.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    initialRect: { width: 300, height: TALLEST },
    getItemKey: index => options[index]?.key ?? index,
  });
  useLayoutEffect(() => {
    if (active >= 0) virtual.scrollToIndex(active, { align: 'auto' });
  }, [active, virtual]);
  return (
    <div
      ref={scroller}
      id={id}
      role="listbox"
      aria-label={label}
      className="thin-scroll relative overflow-auto"
      style={{ height: Math.min(TALLEST, options.length * ROW) }}
    >
      <div style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start, key }) => {
          const option = options[index];
          if (!option) return null;
          const place = { transform: `translateY(${start}px)`, height: ROW };
          if (option.kind === 'heading')
            return (
              <div
                key={key}
                role="presentation"
                className="label-line absolute inset-x-0 top-0 flex items-end px-3.5 pb-0.5"
                style={place}
              >
                {option.label}
              </div>
            );
          return (
            // biome-ignore lint/a11y/useFocusableInteractive: the field keeps the focus and names the current line
            // biome-ignore lint/a11y/useKeyWithClickEvents: the keys are the field's
            <div
              key={key}
              id={optionId(id, option.key)}
              role="option"
              data-label={wordsOf(option)}
              aria-selected={index === active}
              aria-posinset={index + 1}
              aria-setsize={options.length}
              className={`absolute inset-x-0 top-0 flex cursor-pointer items-center gap-2 px-3.5 ${index === active ? 'bg-wash' : ''}`}
              style={place}
              onPointerMove={() => onPoint(index)}
              onPointerDown={event => event.preventDefault()}
              onClick={() => onTake(option)}
            >
              <Line site={site} use={use} option={option} reach={reach} />
            </div>
          );
        })}
      </div>
    </div>
  );
}

/** What a line is called, without what is said of it beside. */
const wordsOf = (option: PickerOption): string => {
  switch (option.kind) {
    case 'add':
      return `Add ${option.text} as a token…`;
    case 'edit':
      return `Edit ${option.name}…`;
    case 'custom':
      return 'Custom colour…';
    default:
      return option.label;
  }
};

const shownValue = (end: Value | null): string => (end ? literalText(end) : '');

function Line({
  site,
  use,
  option,
  reach,
}: {
  site: Site;
  use: ScaleUse | null;
  option: PickerOption;
  reach: ReadonlyMap<Id, { uses: number }>;
}) {
  switch (option.kind) {
    case 'heading':
      return null;
    case 'clear':
      return <span className="text-muted">{option.label}</span>;
    case 'add':
    case 'edit':
    case 'custom':
      return <span className="text-teal">{wordsOf(option)}</span>;
    case 'take': {
      const uses = option.token === null ? null : (reach.get(option.token)?.uses ?? 0);
      return (
        <>
          <span
            className={`flex shrink-0 items-center ${option.token && option.end?.type !== 'color' ? 'min-w-10' : 'min-w-4'}`}
          >
            {(option.end || option.token) && (
              <DrawnValue site={site} end={option.end} use={use} most={option.most} />
            )}
          </span>
          <span className="truncate" title={option.label}>
            {option.label}
          </span>
          {option.note && (
            <span className="min-w-0 shrink-[2] truncate text-small text-muted">{option.note}</span>
          )}
          <span className="ml-auto shrink-0 pl-1 font-mono text-[11.5px] text-muted">
            {shownValue(option.end)}
          </span>
          {uses !== null && (
            <span className="w-13 shrink-0 text-right text-small text-muted">
              {uses} use{uses === 1 ? '' : 's'}
            </span>
          )}
        </>
      );
    }
  }
}

export const nextLine = (options: readonly PickerOption[], from: number, by: 1 | -1): number => {
  for (let i = from + by; i >= 0 && i < options.length; i += by) if (canTake(options[i])) return i;
  return from;
};
