import {
  type DesignTokens,
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
  toDesignTokens,
} from '@cove/core';
import { type JsonOf, toJson } from '../api/json';
import { notFound, ProblemException } from '../common/problem';
import type { Workbench } from '../work/workbench';
import type { ThreadAsked } from './dto/thread.dto';

declare module '../work/job' {
  interface Jobs {
    findThread: typeof findThread;
    printTokens: typeof printTokens;
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

/** The tokens of a site as JSON of the Design Tokens Format Module 2025.10. */
export async function printTokens(
  { sites }: Workbench,
  { site }: { site: string },
): Promise<JsonOf<DesignTokens>> {
  return toJson(toDesignTokens((await sites.at(site)).site.kinds.token));
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
