import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import { problemText } from '../../api/problemText.ts';
import { useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useKeepSnapshot, useRestore, useSnapshots } from './useKept.ts';

const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** Moments of the site to go back to: whole, its guide alone, or parts of that. */
export function Snapshots({
  siteId,
  inParts,
  onParts,
  children,
}: {
  siteId: string;
  /** The one whose guide is looked at in parts. */
  inParts: string | null;
  onParts(id: string): void;
  /** What is shown below that one. */
  children: ReactNode;
}) {
  const session = useSession();
  const snapshots = useSnapshots(siteId);
  const keep = useKeepSnapshot(siteId);
  const restore = useRestore(siteId);
  const [open, setOpen] = useState<string | null>(null);
  const go = async (id: string, part: 'all' | 'guide', note: string) => {
    try {
      await session.settled();
      const { unread } = await restore.mutateAsync({ id, part });
      toast(`Back at “${note}”. What was there is kept as a snapshot.`);
      if (unread.length > 0)
        toast.error(
          `${unread.length} of its items cannot be read by this version of the program and are left as they are now: ${unread.join('; ')}`,
        );
      setOpen(null);
    } catch (error) {
      toast.error(problemText(error));
    }
  };
  const now = async () => {
    try {
      await session.settled();
      await keep.mutateAsync(`By hand, ${when.format(new Date())}`);
    } catch (error) {
      toast.error(problemText(error));
    }
  };
  return (
    <section aria-label="Snapshots" className="mt-4">
      <h3 className="label-line mb-1 flex items-baseline">
        Snapshots
        <Button
          kind="link"
          className="ml-auto h-5! text-small"
          disabled={keep.isPending}
          onClick={() => void now()}
        >
          Take a snapshot
        </Button>
      </h3>
      {snapshots.error && <p role="alert">{problemText(snapshots.error)}</p>}
      {snapshots.data?.length === 0 && <p className="text-muted">None yet.</p>}
      <ul>
        {snapshots.data?.map(({ id, note, by, createdAt }) => (
          <li key={id} className="border-t border-hair py-1">
            <button
              type="button"
              aria-expanded={open === id}
              className="block w-full truncate text-left hover:text-teal"
              onClick={() => setOpen(open === id ? null : id)}
            >
              {note}
            </button>
            <p className="text-small text-muted">
              {when.format(new Date(createdAt))}
              {by && `, ${by}`}
            </p>
            {open === id && (
              <p className="flex flex-wrap gap-x-3">
                <Button kind="link" disabled={restore.isPending} onClick={() => void go(id, 'guide', note)}>
                  Restore its guide
                </Button>
                <Button kind="link" aria-pressed={inParts === id} onClick={() => onParts(id)}>
                  Choose parts…
                </Button>
                <Button kind="link" disabled={restore.isPending} onClick={() => void go(id, 'all', note)}>
                  Restore everything
                </Button>
              </p>
            )}
            {inParts === id && children}
          </li>
        ))}
      </ul>
    </section>
  );
}
