import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { Response } from 'express';
import { Client } from 'pg';
import { Database } from '../common/database';
import { Config } from '../config/config';
import {
  CHANGES_CHANNEL,
  MEMBERS_CHANNEL,
  PRESENCE_CHANNEL,
  RELEASES_CHANNEL,
  SESSIONS_CHANNEL,
} from '../database/channels';
import type { SiteEntity } from '../database/entities';
import { PresenceService } from './presence.service';
import { SiteFeed, type Stream } from './siteFeed';

const BEAT = 20_000;
const REPLAY = 1000;

/** Tells browsers what happens at their sites. The database says to every process what there is to read. */
@Injectable()
export class EventsService implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Events');
  private readonly feeds = new Map<string, SiteFeed>();
  private listener: Client | null = null;
  private beat: NodeJS.Timeout | undefined;
  private again: NodeJS.Timeout | undefined;
  private closed = false;

  private readonly onNotice: Readonly<Record<string, (payload: string) => void>> = {
    [CHANGES_CHANNEL]: payload => {
      const [site = ''] = payload.split(' ');
      this.feeds.get(site)?.pull();
    },
    [MEMBERS_CHANNEL]: site => {
      this.guarded(this.endStreams());
      this.feeds.get(site)?.announce('members', {});
    },
    [RELEASES_CHANNEL]: site => this.feeds.get(site)?.announce('releases', {}),
    [SESSIONS_CHANNEL]: () => this.guarded(this.endStreams()),
    [PRESENCE_CHANNEL]: payload => {
      const { site, announced } = JSON.parse(payload);
      this.feeds.get(site)?.announce('presence', [announced]);
    },
  };

  constructor(
    private readonly database: Database,
    private readonly presence: PresenceService,
    private readonly config: Config,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.listen();
    this.beat = setInterval(() => {
      for (const { response } of this.allStreams()) response.write(': beat\n\n');
      this.guarded(this.endStreams());
    }, BEAT);
  }

  async onModuleDestroy(): Promise<void> {
    this.closed = true;
    clearInterval(this.beat);
    clearTimeout(this.again);
    for (const feed of this.feeds.values()) feed.close();
    for (const { response } of this.allStreams()) response.end();
    await this.listener?.end();
  }

  private *allStreams(): Generator<Stream> {
    for (const feed of this.feeds.values()) yield* feed.streams;
  }

  private readonly warn = (error: Error): void =>
    this.logger.warn(`Streams could not be fed: ${error.message}`);

  private guarded(work: Promise<void>): void {
    work.catch(this.warn);
  }

  private async listen(): Promise<void> {
    const client = new Client({ connectionString: this.config.COVE_DATABASE_URL });
    client.on('notification', ({ channel, payload = '' }) => this.onNotice[channel]?.(payload));
    client.on('error', error => this.reconnect(client, error));
    client.on('end', () => this.reconnect(client, new Error('the connection ended')));
    await client.connect();
    for (const channel of Object.keys(this.onNotice)) await client.query(`listen ${channel}`);
    this.listener = client;
  }

  private reconnect(lost: Client, { message }: Error): void {
    if (this.closed || this.listener !== lost) return;
    this.listener = null;
    this.logger.warn(`The database is away (${message}); trying again.`);
    const attempt = () => {
      this.listen().then(
        () => {
          for (const feed of this.feeds.values()) feed.pull();
        },
        () => {
          if (!this.closed) this.again = setTimeout(attempt, 500);
        },
      );
    };
    this.again = setTimeout(attempt, 500);
  }

  /** Begins a stream after the change numbered `after`, and keeps it until the browser leaves or may stay no longer. */
  async open(
    site: string,
    who: { account: string; session: string },
    after: number | null,
    { seq: current, resetAt }: Pick<SiteEntity, 'seq' | 'resetAt'>,
    response: Response,
  ): Promise<void> {
    const here = await this.presence.at(site);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    const stream: Stream = { ...who, response, sent: after ?? current, busy: false };
    if (stream.sent > current || stream.sent < resetAt || current - stream.sent > REPLAY) {
      response.write(`id: ${current}\nevent: reset\ndata: {"seq":${current}}\n\n`);
      stream.sent = current;
    } else response.write(': open\n\n');
    response.write(`event: presence\ndata: ${JSON.stringify(here)}\n\n`);
    let feed = this.feeds.get(site);
    if (!feed) {
      feed = new SiteFeed(site, this.database.query, current, this.warn);
      this.feeds.set(site, feed);
    }
    const joined = feed;
    joined.streams.add(stream);
    response.on('close', () => {
      joined.streams.delete(stream);
      if (joined.streams.size === 0 && this.feeds.get(site) === joined) {
        joined.close();
        this.feeds.delete(site);
      }
    });
    this.guarded(joined.deliver(stream));
    joined.pull();
  }

  /** Ends the streams of those whose session has ended or who are no longer members. */
  private async endStreams(): Promise<void> {
    for (const [site, feed] of this.feeds) {
      const streams = [...feed.streams];
      const rows = await this.database.query<{ session: string }>(
        `select s.id as session from sessions s join members m on m.account_id = s.account_id and m.site_id = $1
         where s.id = any($2::uuid[]) and s.expires_at > now()`,
        [site, streams.map(it => it.session)],
      );
      const staying = new Set(rows.map(it => it.session));
      for (const { session, response } of streams)
        if (!staying.has(session)) response.end('event: gone\ndata: {}\n\n');
    }
  }
}
