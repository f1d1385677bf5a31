import { SCHEMA } from '@cove/core';
import { answer, type Dto, server } from '../api/client.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import type { Accepted, FromStream, Presence } from './streamMessages.ts';

/** How long, in ms, before a stream that the server turned away is asked for again. */
const AGAIN = 3000;

/** Listens to a site's events from the change numbered `after`, through cuts, until it is closed. */
export class SiteEvents {
  private events: EventSource;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Those who are at the site, as far as was told. */
  readonly people = new Map<string, Presence>();

  constructor(
    private readonly site: string,
    /** Number of the last change heard. */
    public seq: number,
    private readonly tell: (message: FromStream) => void,
  ) {
    this.events = this.connect();
  }

  private connect(): EventSource {
    const events = new EventSource(`/api/sites/${this.site}/events?after=${this.seq}&schema=${SCHEMA}`);
    events.addEventListener('change', event => this.receive(JSON.parse(event.data)));
    events.addEventListener('large', event => void this.fetchLarge(JSON.parse(event.data).seq));
    events.addEventListener('presence', event => {
      const people: Presence[] = JSON.parse(event.data);
      for (const it of people)
        if (it.place) this.people.set(it.client, it);
        else this.people.delete(it.client);
      this.tell({ type: 'presence', people });
    });
    events.addEventListener('members', () => this.tell({ type: 'members' }));
    events.addEventListener('releases', () => this.tell({ type: 'releases' }));
    events.addEventListener('gone', () => {
      this.close();
      this.tell({ type: 'gone' });
    });
    events.addEventListener('reset', () => this.tell({ type: 'reset' }));
    events.addEventListener('open', () => this.tell({ type: 'open' }));
    // A cut is mended by the browser itself; an answer that is no stream ends its patience, not ours.
    events.addEventListener('error', () => {
      if (events.readyState === EventSource.CLOSED) void this.turnedAway();
    });
    return events;
  }

  /** A stream that is turned away does not say why; another request does. */
  private async turnedAway(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.events = this.connect();
    }, AGAIN);
    try {
      await this.changesAfter(this.seq);
    } catch (error) {
      if (error instanceof RequestProblem && error.problem.code === 'renewed') this.tell({ type: 'renewed' });
    }
  }

  private changesAfter(seq: number): Promise<readonly Dto['AcceptedChangeDto'][]> {
    const params = { path: { site: this.site }, query: { after: seq, limit: 1 } };
    return answer(server.GET('/api/sites/{site}/changes', { params }));
  }

  private receive(change: Accepted): void {
    this.seq = Math.max(this.seq, change.seq);
    this.tell({ type: 'change', change });
  }

  /** A large change is only announced; the others can wait for it, since each knows which number comes next. */
  private async fetchLarge(seq: number): Promise<void> {
    try {
      const [change] = await this.changesAfter(seq - 1);
      if (change?.seq !== seq) throw new Error('not this change');
      this.receive(change);
    } catch {
      this.tell({ type: 'reset' });
    }
  }

  close(): void {
    clearTimeout(this.timer);
    this.events.close();
  }
}
