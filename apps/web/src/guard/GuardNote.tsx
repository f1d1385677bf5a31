import { failuresOf, type Id, type RoleContrast } from '@cove/core';
import { useMemo } from 'react';
import { useSession } from '../session/context.tsx';
import { useRestedSite } from '../session/useRestedSite.ts';
import { FailureLine } from './FailureLine.tsx';

/** Failures that are told one by one; further ones are counted. */
const MOST = 4;

const keyOf = ({ scheme, role }: RoleContrast) => `${scheme} ${role}`;

/** What cannot be read because of a token as it is now, also while it is dragged: each with its nearest fix. */
export function GuardNote({ token }: { token: Id }) {
  const session = useSession();
  const site = useRestedSite();
  const failing = useMemo(() => failuresOf(site).ofToken(token), [site, token]);
  // What is only shown is compared with what is kept: those are what this very change would do.
  const isShowing = session.kept !== site && session.isShowing;
  const before = useMemo(
    () => (isShowing ? new Set(failuresOf(session.kept).all.map(keyOf)) : null),
    [isShowing, session],
  );
  const fresh = before ? failing.filter(it => !before.has(keyOf(it))).length : 0;
  return (
    <div role="status">
      {failing.length > 0 && (
        <div className="grid gap-1 border-l-2 border-ink pl-2">
          <p className="font-semibold">
            {fresh > 0
              ? `Makes ${fresh} role${fresh === 1 ? '' : 's'} unreadable`
              : `${failing.length} role${failing.length === 1 ? '' : 's'} below the required contrast`}
          </p>
          <ul className="grid gap-1">
            {failing.slice(0, MOST).map(it => (
              <FailureLine key={keyOf(it)} site={site} failure={it} fixable={!isShowing} />
            ))}
            {failing.length > MOST && <li className="text-muted">and {failing.length - MOST} more</li>}
          </ul>
        </div>
      )}
    </div>
  );
}
