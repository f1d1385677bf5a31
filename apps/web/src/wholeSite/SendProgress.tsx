import { Button } from '../ui/Button.tsx';
import type { Progress } from './sendWhole.ts';

const megabytes = (bytes: number) => (bytes / 1024 / 1024).toFixed(1);

const wordsOf = ({ stage, done, of }: Progress): string => {
  if (of === 0) return `${stage}…`;
  return stage === 'Sending'
    ? `${stage}: ${megabytes(done)} of ${megabytes(of)} MB`
    : `${stage}: ${done} of ${of}`;
};

/** How far a whole site is on its way in. */
export function SendProgress({ progress, onStop }: { progress: Progress; onStop(): void }) {
  return (
    <div className="flex min-w-0 flex-1 items-center gap-2">
      <progress
        aria-label="Importing the site"
        className="min-w-24 flex-1"
        {...(progress.of > 0 && { value: progress.done, max: progress.of })}
      />
      <span role="status" className="text-small text-muted tabular-nums">
        {wordsOf(progress)}
      </span>
      <Button kind="line" onClick={onStop}>
        Cancel
      </Button>
    </div>
  );
}
