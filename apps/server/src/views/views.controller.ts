import {
  isProperty,
  maybeElement,
  nodeScope,
  pageScope,
  partOf,
  renderPreview,
  type Scope,
  type Site,
  settingsOf,
  specimenScope,
  threadOf,
  toDesignTokens,
} from '@cove/core';
import { Controller, Get, Header, Param, Query, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Allow, MEMBERS } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { SiteCache } from '../sites/siteCache';
import { ThreadQuery } from './dto/thread.dto';
import { ExportService } from './export.service';

function scopeAsked(site: Site, { node, page, type, variant, scheme }: ThreadQuery): Scope {
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

@ApiTags('views')
@Controller('api/sites/:site')
@Allow(MEMBERS)
export class ViewsController {
  constructor(
    private readonly cache: SiteCache,
    private readonly exports: ExportService,
  ) {}

  @Get('thread')
  @ApiOperation({ summary: 'Where a value comes from, through what, and what it hides' })
  async thread(@Param('site') id: string, @Query() query: ThreadQuery) {
    const { site } = await this.cache.at(id);
    const scope = scopeAsked(site, query);
    const { part, state = 'rest', width = 'wide', property } = query;
    if (!partOf(scope.element, part))
      throw notFound(`part; ${scope.element.name} has ${Object.keys(scope.element.parts).join(', ')}`);
    if (!isProperty(property)) throw notFound('property');
    return threadOf(site, scope, { part, state, width, property });
  }

  @Get('tokens')
  @ApiOperation({ summary: 'The tokens as Design Tokens Format Module 2025.10' })
  async tokens(@Param('site') id: string) {
    return toDesignTokens((await this.cache.at(id)).site.kinds.token);
  }

  @Get('pages/:page/preview')
  @Header('content-type', 'text/html; charset=utf-8')
  @Header('cache-control', 'no-store')
  @Header(
    'content-security-policy',
    "default-src 'none'; style-src 'unsafe-inline'; img-src 'self' data:; font-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'self'; sandbox allow-same-origin",
  )
  @ApiOperation({ summary: 'A page with its CSS inside and its parts marked; runs nothing' })
  async preview(@Param('site') id: string, @Param('page') pageId: string): Promise<string> {
    const { site } = await this.cache.at(id);
    const page = site.kinds.page.get(pageId);
    if (!page) throw notFound('page');
    return renderPreview(site, page, {
      fonts: '/fonts/',
      ownFonts: `/api/sites/${id}/fonts/`,
      assets: `/api/sites/${id}/assets/`,
    });
  }

  @Get('export.zip')
  @ApiOperation({ summary: 'The site as plain files' })
  async zip(@Param('site') id: string, @Res() response: Response): Promise<void> {
    response.writeHead(200, {
      'content-type': 'application/zip',
      'content-disposition': 'attachment; filename="site.zip"',
    });
    await this.exports.zip(id, response);
  }
}
