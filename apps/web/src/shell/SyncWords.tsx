import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import type { AwayReason } from '../session/away.ts';
import { useSession, useSessionState } from '../session/context.tsx';

const WHY: Record<AwayReason, string> = {
  network: 'The server cannot be reached',
  database: 'The server cannot reach its database',
  'signed-out': 'You are signed out',
  'not-a-member': 'You are no longer a member of this site',
  renewed: 'The program has been updated since this page was opened',
  failing: 'The server is having trouble',
};

/** Says in words what is kept where. */
export function SyncWords() {
  const session = useSession();
  const { pathname } = useLocation();
  const sync = useSessionState(state => state.sync);
  const away = useSessionState(state => state.away);
  const waiting = useSessionState(state => state.waiting);
  const kept = useSessionState(state => state.keptInBrowser);

  // Only what would be lost with the tab is a reason to hold somebody back.
  const unsafe = waiting > 0 && !kept;
  useEffect(() => {
    if (!unsafe) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unsafe]);

  useEffect(() => {
    const again = () => session.sendNow();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [session]);

  const edits = `${waiting} edit${waiting === 1 ? '' : 's'}`;
  const words =
    sync === 'kept'
      ? 'Saved'
      : sync === 'sending'
        ? 'Saving…'
        : `${edits} ${kept ? 'waiting' : 'in this tab only'}`;
  const why = sync === 'away' && away ? WHY[away] : null;
  return (
    <span className="flex items-baseline gap-1.5 px-1">
      <output
        aria-live="polite"
        title={why ? `${why}. Your edits are stored here and sent as soon as possible.` : undefined}
        className={`min-w-16 whitespace-nowrap text-right ${sync === 'away' ? 'text-madder' : 'text-muted'}`}
      >
        {words}
        {why && (
          <span className="sr-only">
            , kept in this {kept ? 'browser' : 'tab only'}. {why}.
          </span>
        )}
      </output>
      {away === 'signed-out' && sync === 'away' && (
        <Link to={`/?to=${encodeURIComponent(pathname)}`} className="text-teal hover:underline">
          Sign in
        </Link>
      )}
      {away === 'renewed' && (
        <button
          type="button"
          className="text-teal hover:underline"
          aria-label="Reload for the new version"
          title="The program has been updated since this page was opened. Unsent edits are stored, and sent after the reload."
          onClick={() => location.reload()}
        >
          Reload
        </button>
      )}
      {away === 'network' && sync === 'away' && (
        <button type="button" className="text-teal hover:underline" onClick={() => session.sendNow()}>
          Try now
        </button>
      )}
    </span>
  );
}
