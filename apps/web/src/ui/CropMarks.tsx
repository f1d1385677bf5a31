/** Marks at the corners of what is selected, as on a printer's sheet, with its name in a small flag. */
export function CropMarks({
  x,
  y,
  width,
  height,
  name,
  faint = false,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  name?: string;
  faint?: boolean;
}) {
  const corner = `absolute size-2.5 border-teal ${faint ? 'opacity-50' : ''}`;
  return (
    <div
      className="pointer-events-none absolute [filter:drop-shadow(0_0_0.5px_var(--paper))_drop-shadow(0_0_0.5px_var(--paper))_drop-shadow(0_0_1px_var(--paper))]"
      style={{ left: x - 4, top: y - 4, width: width + 8, height: height + 8 }}
      aria-hidden
    >
      <span className={`${corner} top-0 left-0 border-t-2 border-l-2`} />
      <span className={`${corner} top-0 right-0 border-t-2 border-r-2`} />
      <span className={`${corner} bottom-0 left-0 border-b-2 border-l-2`} />
      <span className={`${corner} right-0 bottom-0 border-r-2 border-b-2`} />
      {name && (
        <span className="whitespace-nowrap absolute -top-[17px] left-4 rounded-sm bg-paper px-1 text-small leading-4 font-semibold text-teal">
          {name}
        </span>
      )}
    </div>
  );
}
