/// <reference lib="webworker" />
import type { FromStream, ToStream } from './streamMessages.ts';

/** One stream of one site, for all tabs that have it open. */
interface Feed {
  events: EventSource;
  ports: Set<MessagePort>;
  /** Number of the last change heard. */
  seq: number;
}

declare const self: SharedWorkerGlobalScope;
const feeds = new Map<string, Feed>();

function open(site: string, after: number): Feed {
  const feed: Feed = {
    events: new EventSource(`/api/sites/${site}/events?after=${after}`),
    ports: new Set(),
    seq: after,
  };
  const tell = (message: FromStream) => {
    for (const port of feed.ports) port.postMessage(message);
  };
  feed.events.addEventListener('change', event => {
    const change = JSON.parse(event.data);
    feed.seq = change.seq;
    tell({ type: 'change', change });
  });
  feed.events.addEventListener('reset', () => tell({ type: 'reset' }));
  feed.events.addEventListener('open', () => tell({ type: 'open' }));
  feeds.set(site, feed);
  return feed;
}

self.addEventListener('connect', ({ ports: [port] }) => {
  if (!port) return;
  let joined: { site: string; feed: Feed } | null = null;
  port.addEventListener('message', ({ data }: MessageEvent<ToStream>) => {
    if (data.type === 'join') {
      const feed = feeds.get(data.site) ?? open(data.site, data.after);
      feed.ports.add(port);
      joined = { site: data.site, feed };
      // What came between this tab's reading of the site and now will not come again.
      if (feed.seq > data.after) port.postMessage({ type: 'reset' } satisfies FromStream);
      return;
    }
    if (!joined) return;
    const { site, feed } = joined;
    feed.ports.delete(port);
    if (feed.ports.size > 0) return;
    feed.events.close();
    feeds.delete(site);
  });
  port.start();
});
