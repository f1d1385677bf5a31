import { mayEdit, type Right } from '@cove/core';
import type { ReactNode } from 'react';
import { Locked } from '../ui/locked.ts';
import { useOpened } from './context.tsx';

/** Whether one may make edits that need this right at the open site. */
export function useMay(right: Right): boolean {
  const { summary } = useOpened();
  return mayEdit(summary.role, summary.keeperMay, right);
}

/** What is inside shows values; it alters them only for those who have the right. */
export function Lock({ unless, children }: { unless: Right; children: ReactNode }) {
  const may = useMay(unless);
  return <Locked value={!may}>{children}</Locked>;
}
