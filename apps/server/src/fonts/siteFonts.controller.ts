import { Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Allow, MEMBERS } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { FontDto } from './dto/font.dto';
import { FontStore } from './fontStore.service';

const TYPES: Record<string, string> = {
  woff2: 'font/woff2',
  woff: 'font/woff',
  ttf: 'font/ttf',
  otf: 'font/otf',
};

@ApiTags('fonts')
@Controller('api/sites/:site/fonts')
export class SiteFontsController {
  constructor(private readonly fonts: FontStore) {}

  @Post()
  @Allow(['designer'])
  @HttpCode(200)
  @ApiOperation({ summary: 'Read and keep a font; answers what it says of itself, to be put as a record' })
  async upload(@Param('site') site: string, @Body() { data }: FontDto) {
    const kept = await this.fonts.keep(site, Buffer.from(data, 'base64'));
    if (!kept.ok) throw new ProblemException(kept.problem);
    return kept.value;
  }

  @Get(':file')
  @Allow(MEMBERS)
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
