import { type Color, printPainted } from '@cove/core';

/** A colour as visitors see it; crossed out where there is none. */
export const Chip = ({ color, large = false }: { color: Color | null; large?: boolean }) => (
  <span
    className={`inline-block shrink-0 rounded-sm border border-black/15 ${large ? 'size-5' : 'size-3.5'}`}
    style={
      color
        ? { background: printPainted(color) }
        : { background: 'linear-gradient(135deg, transparent 46%, currentcolor 47% 53%, transparent 54%)' }
    }
  />
);
