import type { Edit, Id, Result, Site } from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';
import { ImpactNote } from './ImpactNote.tsx';

/** Takes a thing of the guide away: at once where nothing uses it, else it is asked what becomes of those, impact first. */
export function RemoveWith({
  site,
  id,
  name,
  used,
  question,
  answers,
  edits,
  onGone,
  kind = 'line',
  confirm = `Delete ${name}`,
  asked = null,
}: {
  site: Site;
  id: Id;
  name: string;
  used: boolean;
  /** What is asked of those that use it. */
  question: string;
  /** What can become of them, the likeliest first; the first holds as well where nothing uses it. */
  answers: readonly { value: string; label: string }[];
  edits(answer: string): Result<Edit[]>;
  onGone(answer: string): void;
  kind?: 'line' | 'link';
  confirm?: string;
  /** An answer that is suggested elsewhere: it is asked at once, with that one chosen. */
  asked?: string | null;
}) {
  const commit = useCommit();
  const [open, setOpen] = useState(asked !== null);
  const [chosen, setChosen] = useState(asked);
  const answer = chosen ?? answers[0]?.value ?? '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same thing of the same site goes in the same way
  const removal = useMemo(() => {
    const result = open && answers.length > 0 ? edits(answer) : null;
    return result?.ok ? result.value : null;
  }, [open, answer, site, id]);
  const remove = () => {
    const result = edits(answer);
    if (!result.ok) toast.error(result.problem.message);
    else if (commit(result.value, `Delete ${name}`)) onGone(answer);
  };
  const height = kind === 'line' ? 'h-6!' : 'h-5!';
  if (!used)
    return (
      <Button kind={kind} className={height} onClick={remove}>
        Delete
      </Button>
    );
  if (!open)
    return (
      <Button kind={kind} className={height} onClick={() => setOpen(true)}>
        Delete…
      </Button>
    );
  return (
    <div className="grid basis-full gap-2 border-t border-hair pt-2">
      {answers.length === 0 ? (
        <p className="text-muted">It is in use, and there is no other of its kind to take its place.</p>
      ) : (
        <>
          <Select label={question} value={answer} options={answers} onChange={setChosen} />
          <ImpactNote edits={removal} />
          <div className="flex gap-2">
            <Button kind="main" disabled={!removal} onClick={remove}>
              {confirm}
            </Button>
            <Button onClick={() => setOpen(false)}>Keep it</Button>
          </div>
        </>
      )}
    </div>
  );
}
