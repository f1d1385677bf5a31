import { type Color, inGamut, printPainted } from '@cove/core';
import { Chip } from '../ui/Chip.tsx';

/** What screens show of a colour that not every screen has; nothing where all show it as it is. */
export function PaintedAs({ color, wide }: { color: Color; wide: boolean }) {
  if (inGamut(color)) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-1.5 text-small">
      <Chip color={color} />
      <span>
        Outside sRGB. Published as <code className="font-mono text-[11px]">{printPainted(color)}</code>
        {wide && (
          <>
            , on wide-gamut screens as{' '}
            <code className="font-mono text-[11px]">{printPainted(color, 'display-p3')}</code>
          </>
        )}
        . Contrast is measured on what is published.
      </span>
    </p>
  );
}
