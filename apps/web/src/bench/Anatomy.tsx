import { useId } from 'react';
import { Knots } from './Knots.tsx';
import type { PartOnBench } from './useBench.ts';

/** The element drawn as its parts, each a region where it stands: chooses the part that is set, and counts what is set on each. */
export function Anatomy({
  parts,
  value,
  empty,
  onChange,
}: {
  parts: readonly PartOnBench[];
  value: string;
  /** Parts that show nothing here. */
  empty: ReadonlySet<string>;
  onChange(part: string): void;
}) {
  const group = useId();
  const names = new Set(parts.map(it => it.name));
  const within = (inside: string | null) =>
    parts.filter(
      it =>
        (it.inside !== null && names.has(it.inside) && it.inside !== it.name ? it.inside : null) === inside,
    );
  const outermost = within(null);
  const frame = (part: PartOnBench, outer: boolean) => {
    const inner = within(part.name);
    const chosen = part.name === value;
    return (
      <div
        key={part.name}
        className={`relative min-w-0 rounded-xs border ${outer ? 'w-full' : inner.length > 0 ? 'w-full' : 'flex-[1_1_86px]'} ${chosen ? 'border-teal bg-wash' : empty.has(part.name) ? 'border-dashed border-hair' : 'border-hair bg-paper'}`}
      >
        <label className="relative flex h-6 min-w-0 items-center gap-1.5 px-1.5 hover:text-teal has-checked:font-semibold has-checked:text-teal has-focus-visible:outline-2 has-focus-visible:outline-teal">
          <input
            type="radio"
            name={group}
            value={part.name}
            checked={chosen}
            onChange={() => onChange(part.name)}
            onClick={() => chosen && onChange(part.name)}
            className="absolute inset-0 m-0 cursor-pointer appearance-none outline-none"
          />
          <span className="truncate">{part.label}</span>
          {!empty.has(part.name) && <Drawn kind={part.kind} />}
          {empty.has(part.name) && <span className="text-small font-normal text-muted">none</span>}
          <Knots count={part.knots} />
        </label>
        {inner.length > 0 && (
          <div className="flex flex-wrap gap-1 px-1.5 pb-1.5">{inner.map(it => frame(it, false))}</div>
        )}
      </div>
    );
  };
  return (
    <div
      role="radiogroup"
      aria-label="Part"
      className="thin-scroll flex max-h-40 flex-wrap gap-1 overflow-auto text-[12px]"
    >
      {outermost.map(it => frame(it, outermost.length === 1 || within(it.name).length > 0))}
    </div>
  );
}

/** What a part of a kind looks like, in a stroke or two. */
function Drawn({ kind }: { kind: string }) {
  const line = 'block h-px bg-muted/60';
  switch (kind) {
    case 'heading':
      return <span aria-hidden className="block h-[3px] max-w-10 min-w-3 flex-1 bg-muted/50" />;
    case 'text':
      return (
        <span aria-hidden className="grid max-w-14 min-w-3 flex-1 gap-[3px]">
          <span className={line} />
          <span className={line} />
          <span className={`${line} w-2/3`} />
        </span>
      );
    case 'icon':
      return <span aria-hidden className="block size-2.5 shrink-0 rounded-full border border-muted/70" />;
    case 'picture':
      return (
        <svg viewBox="0 0 14 10" aria-hidden className="h-2.5 w-3.5 shrink-0 text-muted">
          <path d="M.5.5h13v9H.5zM1 8l4-4 3 3 2-2 3 3" fill="none" stroke="currentColor" />
        </svg>
      );
    default:
      return null;
  }
}
