import { Focus } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Floating } from '../ui/Floating.tsx';

/** Opens the picture whose focus is set. */
export function FocusControl({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Choose ${label.toLowerCase()} on the picture`}
        className="flex size-5 items-center justify-center rounded-sm text-muted hover:text-teal"
      >
        <Focus size={14} aria-hidden />
      </Popover.Trigger>
      <Floating label={label} width={272}>
        {children}
      </Floating>
    </Popover.Root>
  );
}
