import { type FontFacts, LIMITS } from '@cove/core';
import { Controller, Get, Param, Post, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersCore, AnswersFile } from '../api/answers';
import { Allow, MEMBERS } from '../common/access';
import { type Incoming, SentFile } from '../common/body.interceptor';
import { notFound } from '../common/problem';
import { TakesFile } from '../common/takes';
import { FontStore } from '../files/fontStore';
import { Uploads } from '../uploads/uploads.service';

const TYPES: Record<string, string> = {
  woff2: 'font/woff2',
  woff: 'font/woff',
  ttf: 'font/ttf',
  otf: 'font/otf',
};

@ApiTags('fonts')
@Controller('api/sites/:site/fonts')
export class SiteFontsController {
  constructor(
    private readonly fonts: FontStore,
    private readonly uploads: Uploads,
  ) {}

  @Post()
  @Allow(['designer'])
  @TakesFile(LIMITS.upload.fontBytes)
  @AnswersCore('FontFacts')
  @ApiOperation({ summary: 'Read and keep a font; answers what it says of itself, to be put as a record' })
  upload(@Param('site') site: string, @SentFile() file: Incoming): Promise<FontFacts> {
    return this.uploads.keep('font', site, file);
  }

  @Get(':file')
  @Allow(MEMBERS)
  @AnswersFile('font/*')
  @ApiOperation({ summary: 'A font of the site’s own' })
  async font(
    @Param('site') site: string,
    @Param('file') file: string,
    @Res() response: Response,
  ): Promise<void> {
    const data = await this.fonts.own(site, file);
    if (!data) throw notFound('font');
    response.writeHead(200, {
      'content-type': TYPES[file.split('.').at(-1) ?? ''] ?? 'application/octet-stream',
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
    });
    response.end(data);
  }
}
