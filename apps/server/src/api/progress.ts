import type { Response } from 'express';

/** A line of JSON at a time: how far it is, and at last what it came to, or the problem. */
export const PROGRESS_TYPE = 'application/x-ndjson';

/** How far something is; of nothing where that cannot be said. */
export interface Progress {
  stage: string;
  done: number;
  of: number;
}

/** Whom to tell how far it is, and whether they still wait. */
export interface Waiter {
  tell(progress: Progress): void;
  /** Given where they have left. */
  signal: AbortSignal;
}

/**
 * Answers with how far something is while it is done, then with what it came to. It ends where whoever asked leaves. What is
 * refused before anything was told has a status like any other refusal; later it is the last line.
 */
export async function answerWithProgress(
  response: Response,
  act: (waiter: Waiter) => Promise<object>,
): Promise<void> {
  const left = new AbortController();
  const leave = () => left.abort(new Error('Whoever asked has left.'));
  response.once('close', leave);
  const say = (line: object) => {
    if (!response.headersSent)
      response.writeHead(200, { 'content-type': PROGRESS_TYPE, 'x-accel-buffering': 'no' });
    response.write(`${JSON.stringify(line)}\n`);
  };
  try {
    const result = await act({ tell: progress => say({ progress }), signal: left.signal });
    response.off('close', leave);
    say({ result });
    response.end();
  } catch (error) {
    // Nobody is there to be told.
    if (!left.signal.aborted) throw error;
  }
}

/** Ends a stream of lines with a problem; false where it is none. */
export function endWithProblem(response: Response, problem: object): boolean {
  if (response.getHeader('content-type') !== PROGRESS_TYPE || !response.writable) return false;
  response.end(`${JSON.stringify({ problem })}\n`);
  return true;
}
