import type { Id, Site, TokenRecord } from '@cove/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { TokenEditor } from '../../tokens/TokenEditor.tsx';
import { Floating } from '../../ui/Floating.tsx';

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
      <Floating label={`Token ${token.name}`} side="right" width={304}>
        <TokenEditor site={site} token={token} onGone={() => onOpen(null)} onMade={onOpen} />
      </Floating>
    </Popover.Root>
  );
}
