import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** What opens beside a control and floats over the rest, as high as there is room. */
export function Floating({
  label,
  side = 'left',
  align = 'start',
  width,
  children,
}: {
  label: string;
  side?: 'left' | 'right' | 'bottom';
  align?: 'start' | 'end';
  /** In px. */
  width: number;
  children: ReactNode;
}) {
  return (
    <Popover.Portal>
      <Popover.Content
        side={side}
        align={align}
        sideOffset={10}
        collisionPadding={8}
        aria-label={label}
        style={{ width }}
        className="thin-scroll z-30 max-h-[min(92vh,var(--radix-popover-content-available-height))] overflow-auto rounded-md border border-hair bg-paper p-3.5 text-base text-ink shadow-lg"
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
