/** Says below a field that somebody else has set it while one types, with the way to take theirs. */
export function TheirsNote({ theirs, onTake }: { theirs: string | null; onTake(): void }) {
  if (theirs === null) return null;
  return (
    <p role="status" className="px-1 pt-0.5 text-small text-muted">
      Somebody else set this to “{theirs.length > 60 ? `${theirs.slice(0, 59)}…` : theirs}” meanwhile. Yours
      is kept when you leave the field.{' '}
      <button
        type="button"
        className="text-teal hover:underline"
        onPointerDown={event => event.preventDefault()}
        onClick={onTake}
      >
        Take theirs
      </button>
    </p>
  );
}
