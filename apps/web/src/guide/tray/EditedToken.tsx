import type { Id, Site, TokenRecord } from '@cove/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { TokenEditor } from '../token/TokenEditor.tsx';

/** A drawn token that opens its editor where it stands. */
export function EditedToken({
  site,
  token,
  open,
  onOpen,
  children,
}: {
  site: Site;
  token: TokenRecord;
  open: boolean;
  onOpen(id: Id | null): void;
  children: ReactNode;
}) {
  return (
    <Popover.Root open={open} onOpenChange={is => onOpen(is ? token.id : null)}>
      <Popover.Trigger asChild>{children}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={8}
          aria-label={`Token ${token.name}`}
          className="thin-scroll z-30 max-h-[min(92vh,var(--radix-popover-content-available-height))] w-[304px] overflow-auto rounded-md border border-hair bg-paper p-3.5 text-base text-ink shadow-lg"
        >
          <TokenEditor site={site} token={token} onGone={() => onOpen(null)} onMade={onOpen} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
