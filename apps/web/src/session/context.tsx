import type { Edit, Site } from '@cove/core';
import { createContext, type ReactNode, use, useCallback, useMemo } from 'react';
import { useStore } from 'zustand';
import type { SiteSummary } from '../api/types.ts';
import { type TypingHost, TypingHostContext } from '../ui/typingHost.ts';
import type { SessionState, SiteSession } from './siteSession.ts';

interface OpenSession {
  session: SiteSession;
  summary: SiteSummary;
}
const Context = createContext<OpenSession | null>(null);

export function SessionProvider({ session, summary, children }: OpenSession & { children: ReactNode }) {
  const value = useMemo(() => ({ session, summary }), [session, summary]);
  const host = useMemo(
    (): TypingHost => ({
      seq: () => session.store.getState().seq,
      asSeenAt: (seq, act) => session.asSeenAt(seq, act),
      offer: (label, words) => session.offer(label, words),
    }),
    [session],
  );
  return (
    <Context value={value}>
      <TypingHostContext value={host}>{children}</TypingHostContext>
    </Context>
  );
}

export function useOpened(): OpenSession {
  const opened = use(Context);
  if (!opened) throw new Error('used outside of an open site');
  return opened;
}

export const useSession = (): SiteSession => useOpened().session;
export const useSessionState = <T,>(select: (state: SessionState) => T): T =>
  useStore(useSession().store, select);
export const useSite = (): Site => useSessionState(state => state.site);

/** Makes edits; answers whether they were made. `since`: what had been seen when the work on them began. */
export function useCommit(): (edits: readonly Edit[], label: string, since?: number) => boolean {
  const session = useSession();
  return useCallback((edits, label, since) => session.commit(edits, label, since).ok, [session]);
}
