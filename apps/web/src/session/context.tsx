import type { Edit, Site } from '@cove/core';
import { createContext, type ReactNode, use, useCallback, useMemo } from 'react';
import { useStore } from 'zustand';
import type { SiteSummary } from '../api/request.ts';
import type { SessionState, SiteSession } from './siteSession.ts';

interface Opened {
  session: SiteSession;
  summary: SiteSummary;
}
const Context = createContext<Opened | null>(null);

export function SessionProvider({ session, summary, children }: Opened & { children: ReactNode }) {
  const value = useMemo(() => ({ session, summary }), [session, summary]);
  return <Context value={value}>{children}</Context>;
}

export function useOpened(): Opened {
  const opened = use(Context);
  if (!opened) throw new Error('used outside of an open site');
  return opened;
}

/** The open site; null where a part of the interface is used outside of one. */
export const useMaybeSession = (): SiteSession | null => use(Context)?.session ?? null;

export const useSession = (): SiteSession => useOpened().session;
export const useSessionState = <T,>(select: (state: SessionState) => T): T =>
  useStore(useSession().store, select);
export const useSite = (): Site => useSessionState(state => state.site);

/** Makes edits; answers whether they were made. `since`: what had been seen when the work on them began. */
export function useCommit(): (edits: readonly Edit[], label: string, since?: number) => boolean {
  const session = useSession();
  return useCallback((edits, label, since) => session.commit(edits, label, since).ok, [session]);
}
