/** How many things cannot be read, where there are any: a filled square, as wherever a fault is told, and words for it. */
export function FailureCount({
  count,
  silent = false,
}: {
  count: number;
  /** Where what it stands in says it already. */
  silent?: boolean;
}) {
  if (count === 0) return null;
  const words = `${count} role${count === 1 ? '' : 's'} below the required contrast`;
  return (
    <span className="inline-flex shrink-0 items-center gap-1 font-mono text-[10.5px]" title={words}>
      <span aria-hidden className="size-1.5 bg-current" />
      {/* Drawn rather than written, since it is no part of the name of what it stands in. */}
      <span aria-hidden data-count={count} className="before:content-[attr(data-count)]" />
      {!silent && <span className="sr-only">{words}</span>}
    </span>
  );
}
