import { mayEdit, type Right } from '@cove/core';
import { createContext, type ReactNode, use } from 'react';
import { useOpened } from './context.tsx';

/** Whether one may make edits that need this right at the open site. */
export function useMay(right: Right): boolean {
  const { summary } = useOpened();
  return mayEdit(summary.role, summary.keeperMay, right);
}

const Locked = createContext(false);

/** What is inside shows values; it alters them only for those who have the right. */
export function Lock({ unless, children }: { unless: Right; children: ReactNode }) {
  const may = useMay(unless);
  return <Locked value={!may}>{children}</Locked>;
}

/** Whether the values here are to be looked at only. */
export const useLocked = (): boolean => use(Locked);
