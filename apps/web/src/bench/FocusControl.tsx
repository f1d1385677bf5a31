import { type AssetRecord, elementOfNode, type Scope, type Site } from '@cove/core';
import { Focus } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Floating } from '../ui/Floating.tsx';

/** The picture that a widget holds; null where it holds none, or stands on no page. */
export function pictureIn(site: Site, { node }: Scope): AssetRecord | null {
  if (node?.kind !== 'widget') return null;
  for (const [name, field] of Object.entries(elementOfNode(node).content)) {
    const id = field.type === 'asset' ? node.content[name] : null;
    const asset = typeof id === 'string' ? site.kinds.asset.get(id) : undefined;
    if (asset) return asset;
  }
  return null;
}

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
