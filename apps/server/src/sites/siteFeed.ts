import type { Response } from 'express';
import type { Query } from '../common/database';
import { type ChangeText, changesAfter } from './changeRows';

const BATCH = 100;
/** Changes kept ready for those who come a little late, and the most bytes they may take. */
const KEPT = 500;
const KEPT_BYTES = 4_000_000;
/** A change longer than this is announced, and fetched by whoever wants it. */
const ANNOUNCED = 64_000;
/** A browser that leaves this much unread is let go; it comes back with the number of what it has. */
const UNREAD = 8_000_000;
/** Milliseconds between two words to the same browser: what happens meanwhile is said in one. */
export const TICK = 100;
/** Milliseconds after which what could not be read is asked for again. */
const AGAIN = 500;

export interface Stream {
  account: string;
  session: string;
  response: Response;
  /** Number of the last change sent. */
  sent: number;
  busy: boolean;
}

interface Announcement {
  seq: number;
  frame: Buffer;
}

const framed = ({ seq, text, resets }: ChangeText): Announcement => {
  const [event, data] = resets
    ? ['reset', `{"seq":${seq}}`]
    : text === null
      ? ['large', `{"seq":${seq}}`]
      : ['change', text];
  return { seq, frame: Buffer.from(`id: ${seq}\nevent: ${event}\ndata: ${data}\n\n`) };
};

/**
 * The accepted changes of one site, read once for all who listen at this process. Each is made into bytes once, and each
 * browser is written to at most once a tick, however much happens.
 */
export class SiteFeed {
  readonly streams = new Set<Stream>();
  private kept: Announcement[] = [];
  private bytes = 0;
  private notices: Buffer[] = [];
  private hasNews = false;
  private lastTick = 0;
  private timer: NodeJS.Timeout | undefined;
  private isTicking = false;

  constructor(
    private readonly site: string,
    private readonly query: Query,
    /** Number of the last change read. */
    private seq: number,
    private readonly failed: (error: Error) => void,
  ) {}

  /** Says that there is something new to read. */
  pull(): void {
    this.hasNews = true;
    this.schedule();
  }

  /** Tells something to all who listen. */
  announce(event: string, data: unknown): void {
    const notice = Buffer.from(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    // The same word twice in one breath says no more than once.
    if (!this.notices.some(it => it.equals(notice))) this.notices.push(notice);
    this.schedule();
  }

  /** At once where nothing was said for a while, else together with what else comes until the next tick. */
  private schedule(): void {
    if (this.timer || this.isTicking) return;
    const wait = Math.max(0, this.lastTick + TICK - Date.now());
    this.timer = setTimeout(() => {
      this.timer = undefined;
      this.isTicking = true;
      this.tick()
        .catch((error: Error) => {
          // What could not be read now is asked for again, not at once.
          this.hasNews = true;
          this.lastTick = Date.now() + AGAIN;
          this.failed(error);
        })
        .finally(() => {
          this.isTicking = false;
          if (this.hasNews || this.notices.length > 0) this.schedule();
        });
    }, wait);
  }

  /** Stops what is still to be said. */
  close(): void {
    clearTimeout(this.timer);
    this.notices = [];
    this.hasNews = false;
  }

  private async tick(): Promise<void> {
    this.lastTick = Date.now();
    if (this.hasNews) {
      this.hasNews = false;
      const rows = await changesAfter(this.query, this.site, this.seq, BATCH, ANNOUNCED);
      for (const row of rows) this.keep(framed(row));
      this.seq = rows.at(-1)?.seq ?? this.seq;
      if (rows.length === BATCH) this.hasNews = true;
    }
    const notices = this.notices.splice(0);
    /** What is new for those who have everything up to some change; most have the same. */
    const newAfter = new Map<number, Buffer | null>();
    for (const stream of this.streams) {
      if (!newAfter.has(stream.sent)) newAfter.set(stream.sent, this.keptAfter(stream.sent));
      const news = newAfter.get(stream.sent);
      // Whoever is further behind reads it from the database, at its own speed.
      if (news && !stream.busy) {
        this.write(stream, notices.length > 0 ? Buffer.concat([news, ...notices]) : news);
        stream.sent = this.seq;
      } else {
        if (notices.length > 0) this.write(stream, Buffer.concat(notices));
        if (!news) void this.deliver(stream);
      }
    }
  }

  private write({ response }: Stream, bytes: Buffer): void {
    if (bytes.length === 0) return;
    response.write(bytes);
    if (response.writableLength > UNREAD) response.destroy();
  }

  /** All changes after a number as one piece of bytes; null where they are no longer kept. */
  private keptAfter(seq: number): Buffer | null {
    if (seq >= this.seq) return Buffer.alloc(0);
    const first = this.kept[0]?.seq ?? Number.POSITIVE_INFINITY;
    if (first > seq + 1) return null;
    return Buffer.concat(this.kept.slice(seq + 1 - first).map(it => it.frame));
  }

  private keep(entry: Announcement): void {
    this.kept.push(entry);
    this.bytes += entry.frame.length;
    while (this.kept.length > KEPT || this.bytes > KEPT_BYTES)
      this.bytes -= this.kept.shift()?.frame.length ?? 0;
  }

  /**
   * Sends a stream what it lacks: from what is kept, or from the database where that begins too late. Where that cannot be
   * read the stream is cut, and the browser comes back with the number of what it has.
   */
  async deliver(stream: Stream): Promise<void> {
    if (stream.busy) return;
    stream.busy = true;
    try {
      while (stream.sent < this.seq && this.streams.has(stream)) {
        const ready = this.keptAfter(stream.sent);
        if (ready) {
          this.write(stream, ready);
          stream.sent = this.seq;
          return;
        }
        const rows = await changesAfter(this.query, this.site, stream.sent, BATCH, ANNOUNCED);
        if (rows.length === 0) return;
        this.write(stream, Buffer.concat(rows.map(it => framed(it).frame)));
        stream.sent = rows.at(-1)?.seq ?? stream.sent;
      }
    } catch {
      stream.response.destroy();
    } finally {
      stream.busy = false;
    }
  }
}
