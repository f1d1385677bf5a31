import { useEffect, useRef, useState } from 'react';
import { problemText } from '../api/problemText.ts';
import type { Progress } from './sendWhole.ts';

/** Something that is being sent: how far it is, why it was refused, and a way to stop it. */
export function useSending() {
  const [progress, setProgress] = useState<Progress | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const sending = useRef<AbortController | null>(null);
  useEffect(() => () => sending.current?.abort(), []);
  /** What came of it; null where it was refused or stopped. */
  const run = async <T>(
    act: (sending: { signal: AbortSignal; onProgress(progress: Progress): void }) => Promise<T>,
  ): Promise<T | null> => {
    const control = new AbortController();
    sending.current = control;
    setProblem(null);
    setProgress({ stage: 'Sending', done: 0, of: 0 });
    try {
      return await act({ signal: control.signal, onProgress: setProgress });
    } catch (error) {
      if (!control.signal.aborted) setProblem(problemText(error));
      return null;
    } finally {
      setProgress(null);
    }
  };
  return { progress, problem, run, stop: () => sending.current?.abort() };
}
