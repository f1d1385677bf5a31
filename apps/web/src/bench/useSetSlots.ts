import type { Asked, Edit, PropertyRow, StyleTarget, Value } from '@cove/core';
import { printSlot, setSlots } from '@cove/core';
import { useCommit, useSession } from '../session/context.tsx';
import { havingPart, useAlsoTo } from './alsoTo.ts';

/** Sets longhands together, of the subject and of whatever else is picked: shown while it is tried, kept once it is chosen. */
export function useSetSlots({
  rows,
  asked,
  target,
  label,
}: {
  rows: readonly PropertyRow[];
  asked: Omit<Asked, 'property'>;
  target: StyleTarget;
  label: string;
}): {
  set(next: Value, before?: readonly Edit[]): void;
  show(next: Value | null): void;
  remove(): void;
} {
  const session = useSession();
  const commit = useCommit();
  const also = useAlsoTo();
  const edits = (next: Value | null): Edit[] => {
    const values = Object.fromEntries(rows.map(it => [printSlot({ ...asked, property: it.name }), next]));
    const others = havingPart(session.site, also, asked.part).map(id => ({ type: 'record', id }) as const);
    return [target, ...others].flatMap(it => setSlots(session.site, it, values));
  };
  const things = also.length > 0 ? ` of ${also.length + 1} things` : '';
  return {
    set: (next, before = []) => {
      commit([...before, ...edits(next)], `Set ${label.toLowerCase()}${things}`);
    },
    show: next => session.show(next && edits(next)),
    remove: () => {
      commit(edits(null), `Remove ${label.toLowerCase()}${things}`);
    },
  };
}
