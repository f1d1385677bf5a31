/// <reference lib="webworker" />
import { SiteEvents } from './siteEvents.ts';
import type { FromStream, ToStream } from './streamMessages.ts';

/** The events of one site, for all tabs that have it open. */
interface Feed {
  events: SiteEvents;
  ports: Set<MessagePort>;
}

declare const self: SharedWorkerGlobalScope;
const feeds = new Map<string, Feed>();

function open(site: string, after: number): Feed {
  const ports = new Set<MessagePort>();
  const events = new SiteEvents(site, after, message => {
    // Whoever opens the site after that begins anew.
    if (message.type === 'gone') feeds.delete(site);
    for (const port of ports) port.postMessage(message);
  });
  const feed = { events, ports };
  feeds.set(site, feed);
  return feed;
}

self.addEventListener('connect', ({ ports: [port] }) => {
  if (!port) return;
  const tell = (message: FromStream) => port.postMessage(message);
  let joined: { site: string; feed: Feed } | null = null;
  port.addEventListener('message', ({ data }: MessageEvent<ToStream>) => {
    if (data.type === 'join') {
      const feed = feeds.get(data.site) ?? open(data.site, data.after);
      feed.ports.add(port);
      joined = { site: data.site, feed };
      // What came between this tab's reading of the site and now will not come again.
      if (feed.events.seq > data.after) tell({ type: 'reset' });
      if (feed.events.people.size > 0) tell({ type: 'presence', people: [...feed.events.people.values()] });
      return;
    }
    if (!joined) return;
    const { site, feed } = joined;
    feed.ports.delete(port);
    if (feed.ports.size > 0) return;
    feed.events.close();
    if (feeds.get(site) === feed) feeds.delete(site);
  });
  port.start();
});
