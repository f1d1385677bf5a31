import type { Edit } from '@cove/core';
import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Response } from 'express';
import { Client } from 'pg';
import { DataSource } from 'typeorm';
import { Config } from '../config/config';
import { CHANGES_CHANNEL } from './accept.service';

const BEAT = 20_000;
const REPLAY = 1000;

interface Stream {
  site: string;
  response: Response;
  sent: number;
  busy: boolean;
  again: boolean;
}

/** Tells browsers of accepted changes: the database says which site and number, the rows are read here. */
@Injectable()
export class EventsService implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Events');
  private readonly streams = new Set<Stream>();
  private listener: Client | null = null;
  private beat: NodeJS.Timeout | undefined;
  private closed = false;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly config: Config,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.listen();
    this.beat = setInterval(() => {
      for (const { response } of this.streams) response.write(': beat\n\n');
    }, BEAT);
  }

  async onModuleDestroy(): Promise<void> {
    this.closed = true;
    clearInterval(this.beat);
    for (const { response } of this.streams) response.end();
    await this.listener?.end();
  }

  private async listen(): Promise<void> {
    const client = new Client({ connectionString: this.config.COVE_DATABASE_URL });
    client.on('notification', ({ payload = '' }) => {
      const [site] = payload.split(' ');
      for (const stream of this.streams) if (stream.site === site) void this.send(stream);
    });
    client.on('error', error => this.reconnect(error));
    await client.connect();
    await client.query(`listen ${CHANGES_CHANNEL}`);
    this.listener = client;
  }

  private reconnect(error: Error): void {
    if (this.closed) return;
    this.logger.warn(`The database is away (${error.message}); trying again.`);
    setTimeout(() => {
      this.listen().then(
        () => {
          for (const stream of this.streams) void this.send(stream);
        },
        (again: Error) => this.reconnect(again),
      );
    }, 1000);
  }

  /** Begins a stream after the change numbered `after`, and keeps it until the browser leaves. */
  open(site: string, after: number | null, current: number, response: Response): void {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    const stream: Stream = { site, response, sent: after ?? current, busy: false, again: false };
    if (stream.sent > current || current - stream.sent > REPLAY) {
      response.write(`id: ${current}\nevent: reset\ndata: {"seq":${current}}\n\n`);
      stream.sent = current;
    } else response.write(': open\n\n');
    this.streams.add(stream);
    response.on('close', () => this.streams.delete(stream));
    void this.send(stream);
  }

  private async send(stream: Stream): Promise<void> {
    if (stream.busy) {
      stream.again = true;
      return;
    }
    stream.busy = true;
    try {
      do {
        stream.again = false;
        const rows: { seq: number; id: string; edits: Edit[]; by: string }[] = await this.database.query(
          'select c.seq, c.id, c.edits, a.name as by from changes c join accounts a on a.id = c.account_id where c.site_id = $1 and c.seq > $2 order by c.seq limit 500',
          [stream.site, stream.sent],
        );
        for (const row of rows) {
          stream.response.write(`id: ${row.seq}\nevent: change\ndata: ${JSON.stringify(row)}\n\n`);
          stream.sent = row.seq;
        }
        if (rows.length === 500) stream.again = true;
      } while (stream.again && this.streams.has(stream));
    } catch (error) {
      this.logger.warn(`A stream could not be fed: ${error instanceof Error ? error.message : error}`);
    } finally {
      stream.busy = false;
    }
  }
}
