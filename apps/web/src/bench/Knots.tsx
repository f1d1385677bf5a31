/** How many values are set somewhere by hand, with the sign of the knot. */
export function Knots({ count }: { count: number }) {
  if (count === 0) return null;
  return (
    <span className="ml-auto flex shrink-0 items-center gap-1 text-small font-normal text-madder">
      {count}
      <svg viewBox="0 0 14 8" className="w-3.5" aria-hidden>
        <path d="M0 4h14" className="stroke-madder" strokeWidth="1.3" />
        <circle cx="7" cy="4" r="2.4" className="fill-paper stroke-madder" strokeWidth="1.3" />
      </svg>
      <span className="sr-only">{count === 1 ? 'value' : 'values'} set here</span>
    </span>
  );
}
