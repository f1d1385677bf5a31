import { useRoom } from '../ui/useRoom.ts';
import { CanvasFrame, type View } from './CanvasFrame.tsx';

/** A document as wide as asked for, made small enough for the room there is. */
export function ScaledFrame({
  title,
  width,
  onReady,
}: {
  title: string;
  /** Width of the viewport in px of the page. */
  width: number;
  onReady(document: Document, view: View): (() => void) | undefined;
}) {
  const [box, room] = useRoom<HTMLDivElement>({ width: 500, height: 500 });
  const scale = Math.min(1, room.width / width);
  return (
    <div ref={box} className="h-full min-h-0 min-w-0 flex-1 overflow-clip bg-ground">
      <div className="mx-auto" style={{ width: width * scale }}>
        <CanvasFrame
          title={title}
          width={width}
          height={room.height / scale}
          scale={scale}
          onReady={onReady}
        />
      </div>
    </div>
  );
}
