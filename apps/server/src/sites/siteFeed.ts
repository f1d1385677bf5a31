import type { Edit } from '@cove/core';
import type { Response } from 'express';
import type { DataSource } from 'typeorm';

const BATCH = 500;
/** Changes kept ready for those who come a little late, and the most bytes they may take. */
const KEPT = 500;
const KEPT_BYTES = 4_000_000;
/** A change longer than this is announced, and fetched by whoever wants it. */
const ANNOUNCED = 64_000;
/** A browser that leaves this much unread is let go; it comes back with the number of what it has. */
const UNREAD = 8_000_000;

export interface Stream {
  account: string;
  session: string;
  response: Response;
  /** Number of the last change sent. */
  sent: number;
  busy: boolean;
}

interface Told {
  seq: number;
  text: string;
}

interface Row {
  seq: number;
  id: string;
  base: number;
  edits: Edit[];
  by: string;
}

const told = ({ seq, ...row }: Row): Told => {
  const text = JSON.stringify({ seq, ...row });
  return {
    seq,
    text:
      text.length > ANNOUNCED
        ? `id: ${seq}\nevent: large\ndata: {"seq":${seq}}\n\n`
        : `id: ${seq}\nevent: change\ndata: ${text}\n\n`,
  };
};

/** The accepted changes of one site, read once for all who listen at this process. */
export class SiteFeed {
  readonly streams = new Set<Stream>();
  private kept: Told[] = [];
  private bytes = 0;
  private reading: Promise<void> | null = null;
  private again = false;

  constructor(
    private readonly site: string,
    private readonly database: DataSource,
    /** Number of the last change read. */
    private seq: number,
  ) {}

  /** Changes after a number, oldest first. */
  static read(database: DataSource, site: string, after: number, limit = BATCH): Promise<Row[]> {
    return database.query(
      `select c.seq, c.id, c.base, c.edits, a.name as by from changes c join accounts a on a.id = c.account_id
       where c.site_id = $1 and c.seq > $2 order by c.seq limit $3`,
      [site, after, limit],
    );
  }

  /** Reads what is new and tells it to everyone. Calls while it reads are answered by one more reading. */
  pull(): Promise<void> {
    if (this.reading) {
      this.again = true;
      return this.reading;
    }
    this.reading = this.readAll().finally(() => {
      this.reading = null;
    });
    return this.reading;
  }

  private async readAll(): Promise<void> {
    do {
      this.again = false;
      const rows = await SiteFeed.read(this.database, this.site, this.seq);
      for (const row of rows) this.keep(told(row));
      this.seq = rows.at(-1)?.seq ?? this.seq;
      for (const stream of this.streams) void this.deliver(stream);
      if (rows.length === BATCH) this.again = true;
    } while (this.again);
  }

  private keep(entry: Told): void {
    this.kept.push(entry);
    this.bytes += entry.text.length;
    while (this.kept.length > KEPT || this.bytes > KEPT_BYTES)
      this.bytes -= this.kept.shift()?.text.length ?? 0;
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
        const first = this.kept[0]?.seq ?? Number.POSITIVE_INFINITY;
        const next =
          first <= stream.sent + 1
            ? this.kept.slice(stream.sent + 1 - first)
            : (await SiteFeed.read(this.database, this.site, stream.sent)).map(told);
        if (next.length === 0) return;
        for (const { seq, text } of next) {
          stream.response.write(text);
          stream.sent = seq;
        }
        if (stream.response.writableLength > UNREAD) stream.response.destroy();
      }
    } catch {
      stream.response.destroy();
    } finally {
      stream.busy = false;
    }
  }

  tell(event: string, data: unknown): void {
    for (const { response } of this.streams)
      response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  }
}
