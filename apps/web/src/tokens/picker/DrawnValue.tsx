import type { ScaleUse, Site, Value } from '@cove/core';
import { drawnCss, familyCss } from '../../drawings/drawn.ts';
import { Chip } from '../../ui/Chip.tsx';
import { lengthsOf } from './endOf.ts';

/** Width of the longest bar in px. */
const LONGEST = 36;
/** A value drawn small, as what it is for: a chip, a bar to scale, a corner, a line, a letter, a curve. */
export function DrawnValue({
  site,
  end,
  use,
  most,
  longest: width = LONGEST,
}: {
  site: Site;
  end: Value | null;
  use: ScaleUse | null;
  /** The longest in px of those it stands among. */
  most: number;
  /** Width in px of a bar that long. */
  longest?: number;
}) {
  if (!end) return <Chip color={null} />;
  if (end.type === 'color') return <Chip color={end.value} />;
  const lengths = lengthsOf(end);
  if (lengths && use === 'corner')
    return (
      <span
        className="block size-3.5 border-t-[1.5px] border-l-[1.5px] border-ink"
        style={{ borderTopLeftRadius: Math.min(14, lengths[1]) }}
      />
    );
  if (lengths && use === 'lineWidth')
    return <span className="block w-4 bg-ink" style={{ height: Math.min(14, Math.max(0.5, lengths[1])) }} />;
  if (lengths) {
    const part = (px: number) =>
      `${Math.max(px > 0 ? 1 : 0, (Math.min(most, Math.max(0, px)) / most) * width)}px`;
    return (
      <span className="flex h-2" style={{ width }}>
        <span className="bg-ink" style={{ width: part(lengths[0]) }} />
        {lengths[1] > lengths[0] && (
          <span className="bg-ink/35" style={{ width: part(lengths[1] - lengths[0]) }} />
        )}
      </span>
    );
  }
  switch (end.type) {
    case 'fontFamily':
      return (
        <span className="leading-none" style={{ fontFamily: familyCss(end), fontSize: 15 }}>
          Ag
        </span>
      );
    case 'shadow':
      return (
        <span
          className="block size-3 rounded-xs border border-hair bg-paper"
          style={{ boxShadow: drawnCss(site, end) }}
        />
      );
    case 'gradient':
      return (
        <span
          className="block h-3.5 w-4 rounded-sm border border-black/15"
          style={{ background: drawnCss(site, end) }}
        />
      );
    case 'cubicBezier': {
      const [a, b, c, d] = end.value;
      const y = (n: number) => 13 - n * 11;
      return (
        <svg viewBox="0 0 16 16" className="size-4" aria-hidden>
          <path
            d={`M2 13 C${2 + a * 12} ${y(b)} ${2 + c * 12} ${y(d)} 14 2`}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.4"
          />
        </svg>
      );
    }
    case 'duration':
      return (
        <span className="block h-px bg-ink" style={{ width: Math.min(width, Math.max(2, end.value / 12)) }} />
      );
    default:
      return null;
  }
}
