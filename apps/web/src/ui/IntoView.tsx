import { type ReactNode, useEffect, useRef } from 'react';

/** What opened below something is brought into view, and again when what it waited for has come. */
export function IntoView({ ready, children }: { ready: boolean; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has come stands for more room that is needed
  useEffect(() => {
    box.current?.scrollIntoView({ block: 'nearest' });
  }, [ready]);
  return (
    <div ref={box} className="mt-2 grid gap-2">
      {children}
    </div>
  );
}
