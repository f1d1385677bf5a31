import type { State, Width } from '@cove/core';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';
import { Anatomy } from './Anatomy.tsx';
import type { PartOnBench } from './useBench.ts';

export interface PathStep {
  id: string;
  label: string;
  onSelect?: () => void;
}

interface Marked<T extends string> {
  value: T;
  label: string;
  mark: boolean;
}

/** From so many states on they are a list. */
const MANY_STATES = 5;

/** What is on the bench: the way down to it, its parts, and for which state and width it is set. */
export function BenchHead({
  path,
  parts,
  part,
  empty,
  states,
  state,
  widths,
  width,
  onPart,
  onState,
  onWidth,
}: {
  path: readonly PathStep[];
  parts: readonly PartOnBench[];
  part: string;
  empty: ReadonlySet<string>;
  states: readonly Marked<State>[];
  state: State;
  widths: readonly Marked<Width>[];
  width: Width;
  onPart(part: string): void;
  onState(state: State): void;
  onWidth(width: Width): void;
}) {
  return (
    <div className="grid gap-1.5 border-b border-hair px-3.5 pt-2.5 pb-2">
      <nav aria-label="Selected" className="flex min-w-0 items-center gap-x-1 text-[12px]">
        {path.map(({ id, label, onSelect }, i) => (
          <span key={id} className={`flex min-w-0 items-center gap-1 ${onSelect ? 'shrink' : 'shrink-0'}`}>
            {i > 0 && <span className="text-muted">›</span>}
            {onSelect ? (
              <button
                type="button"
                onClick={onSelect}
                title={label}
                className="min-w-4 truncate text-muted hover:text-teal hover:underline"
              >
                {label}
              </button>
            ) : (
              <strong className="max-w-44 truncate">{label}</strong>
            )}
          </span>
        ))}
      </nav>
      {(parts.length > 1 || parts.some(it => it.knots > 0)) && (
        <Anatomy parts={parts} value={part} empty={empty} onChange={onPart} />
      )}
      <div className="flex flex-wrap items-center gap-x-3">
        {states.length >= MANY_STATES ? (
          <Select
            hideLabel
            label="State"
            value={state}
            options={states.map(it => ({ value: it.value, label: it.mark ? `${it.label} (set)` : it.label }))}
            onChange={onState}
            className="w-24"
          />
        ) : (
          states.length > 1 && (
            <Choice<State> label="State" value={state} options={states} onChange={onState} />
          )
        )}
        {states.length > 1 && <span className="h-3.5 border-l border-hair" />}
        <Choice<Width> label="Width" value={width} options={widths} onChange={onWidth} />
      </div>
    </div>
  );
}
