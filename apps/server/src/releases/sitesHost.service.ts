import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { extname } from 'node:path';
import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Config } from '../config/config';
import { releaseFolder, Storage } from '../storage/storage';

const TYPES: Record<string, string> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.xml': 'application/xml; charset=utf-8',
  '.txt': 'text/plain; charset=utf-8',
  '.woff2': 'font/woff2',
  '.woff': 'font/woff',
  '.ttf': 'font/ttf',
  '.otf': 'font/otf',
  '.webp': 'image/webp',
  '.png': 'image/png',
  '.jpg': 'image/jpeg',
  '.avif': 'image/avif',
  '.svg': 'image/svg+xml',
  '.pdf': 'application/pdf',
  '.zip': 'application/zip',
  '.csv': 'text/csv; charset=utf-8',
  '.ics': 'text/calendar; charset=utf-8',
};

/** What visitors are given to take home; robots.txt lies beside the pages and is read in place. */
const TAKEN_HOME = /^assets\/[^/]+\.(pdf|zip|csv|ics|txt)$/;

/** A plain step of an address, as releases are written with; anything else is not looked for. */
const STEP = /^[a-zA-Z0-9][a-zA-Z0-9._-]*$/;

/** The published sites: plain files on a host of their own. It reads and sets no cookie. */
@Injectable()
export class SitesHost implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger('Sites');
  private server: Server | null = null;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly storage: Storage,
    private readonly config: Config,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    const server = createServer((request, response) => {
      this.answer(request, response).catch((error: unknown) => {
        this.logger.error(error instanceof Error ? error.stack : String(error));
        if (!response.headersSent) response.writeHead(500, { 'content-type': 'text/plain; charset=utf-8' });
        response.end('This page cannot be shown just now.');
      });
    });
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(this.config.COVE_SITES_PORT, '127.0.0.1', resolve);
    });
    this.server = server;
  }

  async onModuleDestroy(): Promise<void> {
    this.server?.closeAllConnections();
    await new Promise<void>(resolve => (this.server ? this.server.close(() => resolve()) : resolve()));
  }

  /** Port it listens on, which differs from the one configured where that is 0. */
  get port(): number {
    const address = this.server?.address();
    return typeof address === 'object' && address ? address.port : 0;
  }

  private async answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const { pathname } = new URL(request.url ?? '/', 'http://sites');
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      response.writeHead(405, { allow: 'GET, HEAD' }).end();
      return;
    }
    const [slug = '', ...steps] = pathname.slice(1).split('/');
    const folder = STEP.test(slug) ? await this.liveFolder(slug) : null;
    if (!folder) return this.missing(response);
    if (steps.length === 0) {
      response.writeHead(308, { location: `/${slug}/` }).end();
      return;
    }
    const last = steps.at(-1);
    const file = last === '' ? [...steps.slice(0, -1), 'index.html'] : steps;
    if (!file.every(step => STEP.test(step))) return this.missing(response);
    const path = file.join('/');
    const data = await this.storage.read(`${folder}/${path}`);
    if (!data) {
      if (last !== '' && (await this.storage.read(`${folder}/${path}/index.html`))) {
        response.writeHead(308, { location: `${pathname}/` }).end();
        return;
      }
      return this.missing(response);
    }
    const html = path.endsWith('.html');
    response.writeHead(200, {
      'content-type': TYPES[extname(path)] ?? 'application/octet-stream',
      'content-length': data.length,
      ...(TAKEN_HOME.test(path) && { 'content-disposition': 'attachment' }),
      'cache-control': html ? 'no-cache' : 'public, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      'content-security-policy': `default-src 'none'; style-src 'self'; img-src 'self' data:; font-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'self' ${this.config.COVE_ORIGIN}`,
    });
    response.end(request.method === 'HEAD' ? undefined : data);
  }

  private async liveFolder(slug: string): Promise<string | null> {
    const rows: { id: string; live: string | null }[] = await this.database.query(
      'select id, live_release as live from sites where slug = $1',
      [slug],
    );
    const [site] = rows;
    return site?.live ? releaseFolder(site.id, site.live) : null;
  }

  private missing(response: ServerResponse): void {
    response.writeHead(404, {
      'content-type': 'text/html; charset=utf-8',
      'x-content-type-options': 'nosniff',
    });
    response.end(
      '<!doctype html><html lang="en"><meta charset="utf-8"><title>Not found</title><h1>There is no such page</h1></html>',
    );
  }
}
