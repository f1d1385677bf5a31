import { isFileType } from '@cove/core';
import { Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Allow, MEMBERS } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { SiteCache } from '../sites/siteCache';
import { FileDto, PictureDto } from './dto/picture.dto';
import { PictureStore } from './pictureStore.service';

@ApiTags('pictures')
@Controller('api/sites/:site/assets')
export class SitePicturesController {
  constructor(
    private readonly pictures: PictureStore,
    private readonly cache: SiteCache,
  ) {}

  @Post()
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @ApiOperation({ summary: 'Make a picture anew and keep it; answers its facts, to be put as a record' })
  async upload(@Param('site') site: string, @Body() { data }: PictureDto) {
    const kept = await this.pictures.keep(site, Buffer.from(data, 'base64'));
    if (!kept.ok) throw new ProblemException(kept.problem);
    return kept.value;
  }

  @Post('files')
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a file to be linked to as it is; answers its facts, to be put as a record' })
  async uploadFile(@Param('site') site: string, @Body() { data, name }: FileDto) {
    const kept = await this.pictures.keepFile(site, Buffer.from(data, 'base64'), name);
    if (!kept.ok) throw new ProblemException(kept.problem);
    return kept.value;
  }

  @Get(':file')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'A stored picture, or a file' })
  async picture(
    @Param('site') id: string,
    @Param('file') file: string,
    @Res() response: Response,
  ): Promise<void> {
    const { site } = await this.cache.at(id);
    const asset = [...site.kinds.asset.values()].find(it => it.file === file);
    const data = asset && (await this.pictures.read(id, asset.file));
    if (!asset || !data) throw notFound('picture');
    response.writeHead(200, {
      'content-type': asset.mime,
      ...(isFileType(asset.mime) && { 'content-disposition': 'attachment' }),
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; sandbox",
    });
    response.end(data);
  }
}
