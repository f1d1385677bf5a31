import type { DesignTokens, Thread } from '@cove/core';
import { Controller, Get, Header, Param, Query, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersCore, AnswersFile, AnswersPage } from '../api/answers';
import type { JsonOf } from '../api/json';
import { sendArchive } from '../api/sendArchive';
import { Allow, MEMBERS } from '../common/access';
import { Workshop } from '../work/workshop.service';
import { ExportQuery, GuideFileParam } from './dto/export.dto';
import { ThreadQuery } from './dto/thread.dto';

@ApiTags('views')
@Controller('api/sites/:site')
@Allow(MEMBERS)
export class ViewsController {
  constructor(private readonly workshop: Workshop) {}

  @Get('thread')
  @AnswersCore('Thread')
  @ApiOperation({ summary: 'Where a value comes from, through what, and what it hides' })
  thread(@Param('site') site: string, @Query() query: ThreadQuery): Promise<JsonOf<Thread>> {
    return this.workshop.run('findThread', { site, asked: { ...query } });
  }

  @Get('tokens')
  @AnswersCore('DesignTokens')
  @ApiOperation({ summary: 'The tokens as Design Tokens Format Module 2025.10' })
  tokens(@Param('site') site: string): Promise<JsonOf<DesignTokens>> {
    return this.workshop.run('printTokens', { site });
  }

  @Get('guide/:file')
  @AnswersFile('text/plain')
  @ApiOperation({ summary: 'The guide in one of its open formats, of the draft or of a release' })
  async guideFile(
    @Param() { site, file }: GuideFileParam,
    @Query() { release }: ExportQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { text, type } = await this.workshop.run('printGuideFile', {
      site,
      file,
      ...(release !== undefined && { release }),
    });
    response.writeHead(200, {
      'content-type': `${type}; charset=utf-8`,
      'content-length': Buffer.byteLength(text),
      'content-disposition': `attachment; filename="${file}"`,
    });
    response.end(text);
  }

  @Get('pages/:page/preview')
  @AnswersPage()
  @Header(
    'content-security-policy',
    "default-src 'none'; style-src 'unsafe-inline'; img-src 'self' data:; font-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'self'; sandbox allow-same-origin",
  )
  @ApiOperation({ summary: 'A page with its CSS inside and its parts marked; runs nothing' })
  preview(@Param('site') site: string, @Param('page') page: string): Promise<string> {
    return this.workshop.run('renderPagePreview', { site, page });
  }

  @Get('export.zip')
  @AnswersFile('application/zip')
  @ApiOperation({
    summary:
      'The draft or a release as plain files; of the draft it answers with what cannot be rendered, where there is such',
  })
  async zip(
    @Param('site') site: string,
    @Query() { release }: ExportQuery,
    @Res() response: Response,
  ): Promise<void> {
    // Made whole before the answer begins, so that an archive that cannot be made is told of, and none is cut short.
    const asked = { site, ...(release !== undefined && { release }) };
    await sendArchive(response, await this.workshop.run('archive', asked));
  }
}
