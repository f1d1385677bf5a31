import type { SourceFile } from '@cove/core/incoming';
import { useEffect, useState } from 'react';
import type { FromIncoming } from './messages.ts';

/** How long, in ms, typing rests before what was typed is read. */
const REST = 150;

export type IncomingState = { type: 'nothing' } | { type: 'reading' } | FromIncoming;

/** Reads files in a worker that lives no longer than the reading: what is asked for next ends what is still under way. */
export function useIncoming(files: readonly SourceFile[]): IncomingState {
  const [state, setState] = useState<IncomingState>({ type: 'nothing' });
  useEffect(() => {
    if (files.every(it => it.text.trim() === '')) {
      setState({ type: 'nothing' });
      return;
    }
    let worker: Worker | null = null;
    const timer = setTimeout(() => {
      setState(now => (now.type === 'nothing' ? { type: 'reading' } : now));
      worker = new Worker(new URL('./incoming.worker.ts', import.meta.url), { type: 'module' });
      worker.addEventListener('message', ({ data }: MessageEvent<FromIncoming>) => {
        setState(data);
        worker?.terminate();
      });
      worker.addEventListener('error', () =>
        setState({ type: 'problem', message: 'The files could not be read. Try again.' }),
      );
      worker.postMessage(files);
    }, REST);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [files]);
  return state;
}
