import type { Id, TokenRecord } from '@cove/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useSite } from '../../session/context.tsx';
import { TokenEditor } from '../../tokens/TokenEditor.tsx';
import { Floating } from '../../ui/Floating.tsx';

/** The editor, which follows its token in each frame of a drag, whatever is drawn around it. */
function LiveEditor({ token, onGone, onMade }: { token: TokenRecord; onGone(): void; onMade(id: Id): void }) {
  const site = useSite();
  const now = site.kinds.token.get(token.id) ?? token;
  return <TokenEditor site={site} token={now} onGone={onGone} onMade={onMade} />;
}

/** A drawn token that opens its editor where it stands. */
export function EditedToken({
  token,
  open,
  onOpen,
  children,
}: {
  token: TokenRecord;
  open: boolean;
  onOpen(id: Id | null): void;
  children: ReactNode;
}) {
  return (
    <Popover.Root open={open} onOpenChange={is => onOpen(is ? token.id : null)}>
      <Popover.Trigger asChild>{children}</Popover.Trigger>
      <Floating label={`Token ${token.name}`} side="right" width={304}>
        <LiveEditor token={token} onGone={() => onOpen(null)} onMade={onOpen} />
      </Floating>
    </Popover.Root>
  );
}
