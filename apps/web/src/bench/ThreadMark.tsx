/** A straight thread for what is inherited, a knot for what is set here. */
export function ThreadMark({
  knot,
  open,
  label,
  onToggle,
}: {
  knot: boolean;
  open: boolean;
  label: string;
  onToggle(): void;
}) {
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-label={`${knot ? 'Knot' : 'Thread'} of ${label}: where its value comes from`}
      onClick={onToggle}
      className="flex h-6 w-6 items-center justify-center rounded-sm hover:bg-ground"
    >
      <svg viewBox="0 0 18 10" className="w-[18px]" aria-hidden>
        <path
          d="M1 5h16"
          className={knot ? 'stroke-madder' : 'stroke-muted'}
          strokeWidth="1.4"
          opacity={knot ? 1 : 0.6}
        />
        {knot && (
          <circle
            cx="9"
            cy="5"
            r="3"
            className={open ? 'fill-madder stroke-madder' : 'fill-paper stroke-madder'}
            strokeWidth="1.4"
          />
        )}
      </svg>
    </button>
  );
}
