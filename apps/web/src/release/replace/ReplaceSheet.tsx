import { allRecords, type Site } from '@cove/core';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { problemText } from '../../api/problemText.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import { useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { SendProgress } from '../../wholeSite/SendProgress.tsx';
import { replaceWhole } from '../../wholeSite/sendWhole.ts';
import { useSending } from '../../wholeSite/useSending.ts';
import { useWholeFile, withPictures } from '../../wholeSite/useWholeFile.ts';
import { WholeFileChoice } from '../../wholeSite/WholeFileChoice.tsx';

/** Lays a whole site out of a file over this one: what would alter is seen before, and what was there is kept. */
export function ReplaceSheet({ onClose }: { onClose(): void }) {
  const session = useSession();
  const queries = useQueryClient();
  const chosen = useWholeFile(() => [...allRecords(session.kept)]);
  const { progress, problem, run, stop } = useSending();
  const { state, whole, pictures } = chosen;
  const edits = whole?.edits ?? null;
  const shownAs = useCallback((it: Site) => withPictures(it, pictures), [pictures]);
  const replace = async () => {
    if (state.type !== 'read') return;
    try {
      await session.settled();
    } catch (error) {
      toast.error(problemText(error));
      return;
    }
    const done = await run(sending => replaceWhole(session.id, state.file, sending));
    if (!done) return;
    await queries.invalidateQueries({ queryKey: queryKeys.snapshots(session.id) });
    toast.success(`“${state.whole.name}” is laid over the site. What was there is kept as a snapshot.`);
    onClose();
  };
  const nothing = edits?.length === 0;
  return (
    <Sheet
      title="Replace the site"
      about="With a whole site that was downloaded, here or elsewhere"
      onClose={() => {
        stop();
        onClose();
      }}
      foot={
        progress ? (
          <SendProgress progress={progress} onStop={stop} />
        ) : (
          <>
            <Button onClick={onClose}>Cancel</Button>
            <Button kind="main" disabled={!edits || nothing} onClick={() => void replace()}>
              Replace the site
            </Button>
          </>
        )
      }
    >
      <div className="grid gap-4">
        <WholeFileChoice chosen={chosen} disabled={progress !== null} />
        {edits && (
          <section aria-label="What would change" className="grid gap-1.5 border-t border-hair pt-3">
            {nothing ? (
              <p className="text-muted">The site is the same already.</p>
            ) : (
              <>
                <ImpactNote edits={edits} shownAs={shownAs} />
                <p className="text-muted">
                  The site as it is now is kept as a snapshot first. Releases and people stay.
                </p>
              </>
            )}
          </section>
        )}
        {problem !== null && (
          <p role="alert" className="text-madder">
            {problem} Nothing was changed.
          </p>
        )}
      </div>
    </Sheet>
  );
}
