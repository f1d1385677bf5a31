import { Button } from './Button.tsx';

/** Moves one of a list by a place. */
export function EarlierLater({
  index,
  count,
  onMove,
  kind = 'line',
}: {
  index: number;
  count: number;
  onMove(to: number): void;
  kind?: 'line' | 'link';
}) {
  const height = kind === 'line' ? 'h-6!' : 'h-5!';
  return (
    <>
      <Button kind={kind} className={height} disabled={index <= 0} onClick={() => onMove(index - 1)}>
        Earlier
      </Button>
      <Button kind={kind} className={height} disabled={index >= count - 1} onClick={() => onMove(index + 1)}>
        Later
      </Button>
    </>
  );
}
