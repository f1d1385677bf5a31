import type { Site } from '@cove/core';
import { useMemo, useSyncExternalStore } from 'react';
import { useSession } from './context.tsx';
import type { SiteSession } from './siteSession.ts';

/** How long to wait, in ms, until what is only shown is looked at: since it altered, and since it was last looked at. */
type Pace = (sinceLook: number) => { wait: number; again: boolean };

/** Follows a site at once where it is edited, and at a pace of its own while something is only shown. */
class FollowedSite {
  private site: Site;
  private last = 0;

  constructor(
    private readonly session: SiteSession,
    private readonly pace: Pace,
  ) {
    this.site = session.site;
  }

  readonly get = (): Site => this.site;

  readonly subscribe = (tell: () => void): (() => void) => {
    let timer = 0;
    const take = () => {
      clearTimeout(timer);
      timer = 0;
      this.last = performance.now();
      if (this.site === this.session.site) return;
      this.site = this.session.site;
      tell();
    };
    const stop = this.session.store.subscribe(() => {
      if (this.session.site === this.site && timer === 0) return;
      if (!this.session.isShowing) return take();
      const { wait, again } = this.pace(performance.now() - this.last);
      if (wait <= 0) return take();
      if (timer !== 0 && !again) return;
      clearTimeout(timer);
      timer = window.setTimeout(take, wait);
    });
    take();
    return () => {
      stop();
      clearTimeout(timer);
    };
  };
}

export function useFollowedSite(pace: Pace): Site {
  const session = useSession();
  const followed = useMemo(() => new FollowedSite(session, pace), [session, pace]);
  return useSyncExternalStore(followed.subscribe, followed.get);
}
