import { createHash } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { extname } from 'node:path';
import type { Query } from '../common/database';
import { releaseFolder, type Storage } from '../storage/storage';
import { CONTENT_TYPES, PLAYED, TAKEN_HOME } from './contentTypes';
import { rangeIn } from './range';

/** A plain step of an address, as releases are written with; anything else is not looked for. */
const STEP = /^[a-zA-Z0-9][a-zA-Z0-9._-]{0,200}$/;

/** Folder of a site’s modules, below its root; named here again, since this process loads nothing of the core. */
const MODULES = 'behaviours';

/** Folder of the guide in open formats, whose addresses stay while what they answer alters; and the file in it that says who may read them. */
const GUIDE = 'guide/';
const ACCESS = 'guide/access.json';

/** What is answered where there is no page. */
const NOT_FOUND = '404.html';

/** Characters of an address that are looked at. */
const LONGEST_ADDRESS = 2000;

export interface SitesSettings {
  /** Host and port at which sites are found; others find nothing. */
  host: string;
  /** Where the program is, which may show sites within it. */
  program: string;
  /** Whether addresses begin with https. */
  secure: boolean;
}

/** The sheet that stands in a page, which nothing else may bring along. */
function sheetIn(page: Buffer): string | null {
  const [before, after] = ['<style>', '</style>'];
  const from = page.indexOf(before);
  const to = page.indexOf(after, from);
  return from < 0 || to < 0 ? null : page.toString('utf8', from + before.length, to);
}

/**
 * Published sites, as plain files. No cookie is read or set. A page runs the modules of its own site and no other script: all
 * sites share this host, and nothing of one may meet another.
 */
export function answerer(query: Query, storage: Storage, { host, program, secure }: SitesSettings) {
  const origin = `${secure ? 'https' : 'http'}://${host}`;
  /** `slug` names the site whose modules may run; none where nothing of a site is answered. `style` is the sheet of a page. */
  const safe = (slug: string | null = null, style: string | null = null) => ({
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'strict-origin-when-cross-origin',
    'cross-origin-opener-policy': 'same-origin',
    'content-security-policy': `default-src 'none'; ${slug === null ? '' : `script-src ${origin}/${slug}/${MODULES}/; `}style-src 'self'${style === null ? '' : ` 'sha256-${createHash('sha256').update(style).digest('base64')}'`}; img-src 'self' data:; media-src 'self'; frame-src https:; font-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'self' ${program}`,
    ...(secure && { 'strict-transport-security': 'max-age=31536000' }),
  });
  const say = (response: ServerResponse, status: number, words: string, headers = {}) => {
    const body = `<!doctype html><html lang="en"><meta charset="utf-8"><title>${words}</title><h1>${words}</h1></html>`;
    response.writeHead(status, {
      ...safe(),
      'content-type': 'text/html; charset=utf-8',
      'content-length': Buffer.byteLength(body),
      'cache-control': 'no-store',
      ...headers,
    });
    response.end(response.req.method === 'HEAD' ? undefined : body);
  };
  /** The site’s own page for what is not found, where there is a site. */
  const missing = async (response: ServerResponse, slug = '', folder: string | null = null) => {
    const page = folder ? await storage.read(`${folder}/${NOT_FOUND}`) : null;
    if (!page) return say(response, 404, 'There is no such page');
    response.writeHead(404, {
      ...safe(slug, sheetIn(page)),
      'content-type': 'text/html; charset=utf-8',
      'content-length': page.length,
      'cache-control': 'no-store',
    });
    response.end(response.req.method === 'HEAD' ? undefined : page);
  };

  /** A file of the guide: asked for again and again under one address, answered in full only where it has altered (RFC 9110, section 13). */
  const guideFile = async (response: ServerResponse, folder: string, name: string, data: Buffer) => {
    const tag = `"${createHash('sha256').update(data).digest('base64url').slice(0, 27)}"`;
    const open = await storage.has(`${folder}/${ACCESS}`);
    const known = response.req.headers['if-none-match'];
    const same = known?.split(',').some(it => it.trim().replace(/^W\//, '') === tag || it.trim() === '*');
    response.writeHead(same ? 304 : 200, {
      ...safe(),
      etag: tag,
      'cache-control': 'no-cache',
      ...(open && { 'access-control-allow-origin': '*', 'cross-origin-resource-policy': 'cross-origin' }),
      ...(!same && {
        'content-type': CONTENT_TYPES[extname(name)] ?? 'text/plain; charset=utf-8',
        'content-length': data.length,
      }),
    });
    response.end(same || response.req.method === 'HEAD' ? undefined : data);
  };

  const liveFolder = async (slug: string): Promise<string | null> => {
    const [site] = await query<{ id: string; live: string | null }>(
      'select id, live_release as live from sites where slug = $1',
      [slug],
    );
    return site?.live ? releaseFolder(site.id, site.live) : null;
  };

  const answer = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    if (request.headers.host !== host) return say(response, 421, 'There is nothing here');
    if (request.method !== 'GET' && request.method !== 'HEAD')
      return say(response, 405, 'Pages can only be read', { allow: 'GET, HEAD' });
    const [path = ''] = (request.url ?? '/').split(/[?#]/, 1);
    if (path.length > LONGEST_ADDRESS || !path.startsWith('/')) return missing(response);
    const [slug = '', ...steps] = path.slice(1).split('/');
    const folder = STEP.test(slug) ? await liveFolder(slug) : null;
    if (!folder) return missing(response);
    if (steps.length === 0) return say(response, 308, 'This page is elsewhere', { location: `/${slug}/` });
    const last = steps.at(-1);
    const file = last === '' ? [...steps.slice(0, -1), 'index.html'] : steps;
    if (!file.every(step => STEP.test(step))) return missing(response, slug, folder);
    const name = file.join('/');
    const data = await storage.read(`${folder}/${name}`);
    if (!data) {
      const page = last === '' ? null : await storage.has(`${folder}/${name}/index.html`);
      return page
        ? say(response, 308, 'This page is elsewhere', { location: `${path}/` })
        : missing(response, slug, folder);
    }
    if (name.startsWith(GUIDE) && !name.endsWith('.html')) return guideFile(response, folder, name, data);
    const html = name.endsWith('.html');
    const part = PLAYED.test(name) ? rangeIn(request.headers.range, data.length) : null;
    if (part === 'none') {
      response.writeHead(416, { ...safe(slug), 'content-range': `bytes */${data.length}` });
      response.end();
      return;
    }
    const sent = part ? data.subarray(part.from, part.to + 1) : data;
    response.writeHead(part ? 206 : 200, {
      ...safe(slug, html ? sheetIn(data) : null),
      'content-type': CONTENT_TYPES[extname(name)] ?? 'application/octet-stream',
      'content-length': sent.length,
      ...(PLAYED.test(name) && { 'accept-ranges': 'bytes' }),
      ...(part && { 'content-range': `bytes ${part.from}-${part.to}/${data.length}` }),
      ...(TAKEN_HOME.test(name) && { 'content-disposition': 'attachment' }),
      'cache-control': html ? 'no-cache' : 'public, max-age=31536000, immutable',
    });
    response.end(request.method === 'HEAD' ? undefined : sent);
  };

  return (request: IncomingMessage, response: ServerResponse): void => {
    answer(request, response).catch((error: unknown) => {
      process.stderr.write(`${JSON.stringify({ level: 50, context: 'Sites', msg: String(error) })}\n`);
      if (response.headersSent) response.destroy();
      else say(response, 503, 'This page cannot be shown just now', { 'retry-after': '5' });
    });
  };
}
