import {
  type DesignTokens,
  EXPORTS,
  EXPORTS_FOLDER,
  guideTokens,
  maybeElement,
  nodeScope,
  pageScope,
  partOf,
  renderPreview,
  type Scope,
  type Site,
  settingsOf,
  specimenScope,
  type Thread,
  threadOf,
} from '@cove/core';
import { type JsonOf, toJson } from '../api/json';
import { notFound, ProblemException } from '../common/problem';
import { releaseFolder } from '../storage/storage';
import type { Workbench } from '../work/workbench';
import type { ThreadAsked } from './dto/thread.dto';

declare module '../work/job' {
  interface Jobs {
    findThread: typeof findThread;
    printTokens: typeof printTokens;
    printGuideFile: typeof printGuideFile;
    renderPagePreview: typeof renderPagePreview;
  }
}

function scopeAsked(site: Site, { node, page, type, variant, scheme }: ThreadAsked): Scope {
  if (type !== undefined) {
    const element = maybeElement(type);
    if (!element) throw notFound('element');
    const worn = scheme ?? settingsOf(site).defaultScheme;
    if (!site.kinds.scheme.has(worn)) throw notFound('scheme');
    const variants: Record<string, string> = {};
    for (const id of variant?.split(',') ?? []) {
      const found = site.kinds.variant.get(id);
      if (found?.element !== type) throw notFound('variant of this element');
      variants[found.axis] = id;
    }
    return specimenScope(element, worn, variants);
  }
  if (page === undefined)
    throw new ProblemException({
      code: 'bad-request',
      message: 'Say node and page, or type.',
      expected: 'node and page, or type',
    });
  const record = site.kinds.page.get(page);
  if (!record) throw notFound('page');
  const scope = node === undefined || node === page ? pageScope(site, record) : nodeScope(site, page, node);
  if (!scope) throw notFound('section or widget on this page');
  return scope;
}

/** Where a value comes from, as JSON. */
export async function findThread(
  { sites }: Workbench,
  { site: id, asked }: { site: string; asked: ThreadAsked },
): Promise<JsonOf<Thread>> {
  const { site } = await sites.at(id);
  const scope = scopeAsked(site, asked);
  const { part, state = 'rest', width = 'wide', property } = asked;
  if (!partOf(scope.element, part))
    throw notFound(`part; ${scope.element.name} has ${Object.keys(scope.element.parts).join(', ')}`);
  return toJson(threadOf(site, scope, { part, state, width, property }));
}

/** The tokens and text styles of a site as JSON of the Design Tokens Format Module 2025.10. */
export async function printTokens(
  { sites }: Workbench,
  { site }: { site: string },
): Promise<JsonOf<DesignTokens>> {
  return toJson(guideTokens((await sites.at(site)).site));
}

/** One open format of the guide, of the draft or as a release has it. */
export async function printGuideFile(
  { sites, storage, database }: Workbench,
  { site: id, file, release }: { site: string; file: string; release?: string },
): Promise<{ text: string; type: string }> {
  const format = EXPORTS.find(it => it.file === file);
  if (!format) throw notFound('format');
  if (release === undefined) return { text: format.print((await sites.at(id)).site), type: format.type };
  const [found] = await database.query<{ id: string }>(
    "select id from releases where id = $1 and site_id = $2 and state = 'done'",
    [release, id],
  );
  if (!found) throw notFound('release');
  const data = await storage.read(`${releaseFolder(id, release)}/${EXPORTS_FOLDER}/${file}`);
  // Releases of before these files were made have none.
  if (!data) throw notFound('file of this release');
  return { text: data.toString('utf8'), type: format.type };
}

/** A page as one document with its CSS inside and its parts marked. */
export async function renderPagePreview(
  { sites }: Workbench,
  { site: id, page: pageId }: { site: string; page: string },
): Promise<string> {
  const { site } = await sites.at(id);
  const page = site.kinds.page.get(pageId);
  if (!page) throw notFound('page');
  return renderPreview(site, page, {
    fonts: '/fonts/',
    ownFonts: `/api/sites/${id}/fonts/`,
    assets: `/api/sites/${id}/assets/`,
  });
}
