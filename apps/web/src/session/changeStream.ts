import { SiteEvents } from './siteEvents.ts';
import type { FromStream, ToStream } from './streamMessages.ts';

/**
 * What happens at a site. One worker, shared by all tabs, holds the stream: browsers open few connections to one host, and
 * a stream for each tab would soon leave none for anything else. Answers with what ends it.
 */
export function openChangeStream(
  site: string,
  after: number,
  receive: (message: FromStream) => void,
): () => void {
  if (!('SharedWorker' in globalThis)) {
    const events = new SiteEvents(site, after, receive);
    return () => events.close();
  }
  const { port } = new SharedWorker(new URL('./changes.worker.ts', import.meta.url), {
    type: 'module',
    name: 'cove changes',
  });
  const tell = (message: ToStream) => port.postMessage(message);
  port.addEventListener('message', (event: MessageEvent<FromStream>) => receive(event.data));
  port.start();
  tell({ type: 'join', site, after });
  const leave = () => tell({ type: 'leave' });
  window.addEventListener('pagehide', leave);
  return () => {
    window.removeEventListener('pagehide', leave);
    leave();
    port.close();
  };
}
