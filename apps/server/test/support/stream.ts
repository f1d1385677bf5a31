import { SCHEMA } from '@cove/core';

/** One event of a stream. */
export interface StreamEvent {
  event: string;
  id: string;
  data: unknown;
}

/** Listens to server-sent events; `next` answers with the first one, past or to come, that fits. */
export async function listen(url: string, headers: Record<string, string>) {
  const abort = new AbortController();
  const response = await fetch(url, {
    headers: { 'cove-schema': String(SCHEMA), ...headers },
    signal: abort.signal,
  });
  if (!response.body) throw new Error('no stream');
  const events: StreamEvent[] = [];
  const wake = new Set<() => void>();
  let ended = false;
  const read = async () => {
    let text = '';
    try {
      for await (const part of response.body?.pipeThrough(new TextDecoderStream()) ?? []) {
        text += part;
        for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
          const fields = new Map(
            text
              .slice(0, end)
              .split('\n')
              .map(line => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 2)] as const),
          );
          text = text.slice(end + 2);
          const event = fields.get('event');
          if (event)
            events.push({
              event,
              id: fields.get('id') ?? '',
              data: JSON.parse(fields.get('data') ?? 'null'),
            });
        }
        for (const it of wake) it();
      }
    } catch {
      // Left by ourselves, or cut off: either way it has ended.
    }
    ended = true;
    for (const it of wake) it();
  };
  const reading = read();
  const until = async <T>(ask: () => T | undefined, what: string): Promise<T> => {
    const late = Date.now() + 30_000;
    for (;;) {
      const found = ask();
      if (found !== undefined) return found;
      if (Date.now() > late)
        throw new Error(`${what} did not come; heard ${JSON.stringify(events).slice(0, 400)}`);
      await new Promise<void>(resolve => {
        const go = () => {
          clearTimeout(timer);
          wake.delete(go);
          resolve();
        };
        const timer = setTimeout(go, 200);
        wake.add(go);
      });
    }
  };
  return {
    response,
    events,
    next: (event: string, fits: (data: Record<string, unknown>) => boolean = () => true) =>
      until(
        () =>
          events.find(
            it =>
              it.event === event && typeof it.data === 'object' && it.data !== null && fits({ ...it.data }),
          ),
        `an event ${event}`,
      ),
    /** Waits until something is so of what was heard. */
    until: (holds: () => true | undefined) => until(holds, 'what was waited for'),
    end: () => until(() => (ended ? true : undefined), 'the end of the stream'),
    close: async () => {
      abort.abort();
      await reading;
    },
  };
}
