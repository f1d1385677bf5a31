import type { Value, Width } from '@cove/core';
import type { ReactNode } from 'react';
import { literalText } from '../tokens/picker/endOf.ts';

/** What is said at the end of a row: what a token comes to, and where it is something else. */
export function Remarks({
  end,
  value,
  differs,
  varies,
  children,
}: {
  end: Value | null;
  value: Value | null;
  differs: readonly Width[];
  varies: number;
  children: ReactNode;
}) {
  const named = value?.type === 'token' || value?.type === 'role' || value?.type === 'derived';
  return (
    <span className="flex min-w-0 items-center gap-1">
      {differs.length > 0 && (
        <span className="font-mono text-[10px] text-muted" title={`Different when ${differs.join(' and ')}`}>
          <span aria-hidden>≠ {differs.join(' ')}</span>
          <span className="sr-only">, different when {differs.join(' and ')}</span>
        </span>
      )}
      {varies > 0 && (
        <span
          className="shrink-0 text-small whitespace-nowrap text-muted"
          title={`${varies} of the other selected items ${varies === 1 ? 'differs' : 'differ'} here`}
        >
          {varies} differ{varies === 1 && 's'}
        </span>
      )}
      {named && end && (
        <span className="max-w-24 truncate font-mono text-[11px] text-muted" title={literalText(end)}>
          {literalText(end)}
        </span>
      )}
      {children}
    </span>
  );
}
