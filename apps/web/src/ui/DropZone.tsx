import { type DragEvent, type ReactNode, useState } from 'react';

/** A place on which files can be dropped; what is in it does the same by keys. */
export function DropZone({
  className,
  onDrop,
  children,
}: {
  className: string;
  onDrop(event: DragEvent): void;
  children: ReactNode;
}) {
  const [dragged, setDragged] = useState(false);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: whoever works by keys opens files by the buttons in it
    <div
      onDragOver={event => {
        event.preventDefault();
        setDragged(true);
      }}
      onDragLeave={() => setDragged(false)}
      onDrop={event => {
        event.preventDefault();
        setDragged(false);
        onDrop(event);
      }}
      className={`${className} ${dragged ? 'outline-2 outline-offset-4 outline-teal outline-dashed' : ''}`}
    >
      {children}
    </div>
  );
}
