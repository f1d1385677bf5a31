import { isFileType, LIMITS } from '@cove/core';
import { Controller, Get, HttpCode, Param, Post, Query, Res } from '@nestjs/common';
import { ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Allow, MEMBERS } from '../common/access';
import { type Incoming, SentFile } from '../common/body.interceptor';
import { Database } from '../common/database';
import { notFound } from '../common/problem';
import { Takes } from '../common/takes';
import { PictureStore } from '../files/pictureStore.service';
import type { PictureFacts } from '../uploads/keep';
import { Uploads } from '../uploads/uploads.service';
import { FileQuery } from './dto/picture.dto';

@ApiTags('pictures')
@Controller('api/sites/:site/assets')
export class SitePicturesController {
  constructor(
    private readonly pictures: PictureStore,
    private readonly uploads: Uploads,
    private readonly database: Database,
  ) {}

  @Post()
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @Takes({ as: 'file', bytes: LIMITS.upload.pictureBytes })
  @ApiConsumes('application/octet-stream')
  @ApiOperation({ summary: 'Make a picture anew and keep it; answers its facts, to be put as a record' })
  upload(@Param('site') site: string, @SentFile() file: Incoming): Promise<PictureFacts> {
    return this.uploads.keep('picture', site, file);
  }

  @Post('files')
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @Takes({ as: 'file', bytes: LIMITS.upload.fileBytes })
  @ApiConsumes('application/octet-stream')
  @ApiOperation({ summary: 'Keep a file to be linked to as it is; answers its facts, to be put as a record' })
  uploadFile(
    @Param('site') site: string,
    @Query() { name }: FileQuery,
    @SentFile() file: Incoming,
  ): Promise<PictureFacts> {
    return this.uploads.keep('file', site, file, name);
  }

  @Get(':file')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'A stored picture, or a file' })
  async picture(
    @Param('site') site: string,
    @Param('file') file: string,
    @Res() response: Response,
  ): Promise<void> {
    const [asset] = await this.database.query<{ mime: string }>(
      `select body->>'mime' as mime from records
       where site_id = $1 and kind = 'asset' and kind in ('asset', 'font') and body->>'file' = $2 limit 1`,
      [site, file],
    );
    const data = asset && (await this.pictures.read(site, file));
    if (!asset || !data) throw notFound('picture');
    response.writeHead(200, {
      'content-type': asset.mime,
      ...(isFileType(asset.mime) && { 'content-disposition': 'attachment' }),
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'; sandbox",
    });
    response.end(data);
  }
}
