import { type AssetFacts, isFileType, LIMITS } from '@cove/core';
import { Controller, Get, Param, Post, Query, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersCore, AnswersFile } from '../api/answers';
import { Allow, type Caller, CurrentCaller, MEMBERS } from '../common/access';
import { type Incoming, SentFile } from '../common/body.interceptor';
import { notFound } from '../common/problem';
import { TakesFile } from '../common/takes';

import { Uploads } from '../uploads/uploads.service';
import { FileQuery } from './dto/picture.dto';
import { SitePictures } from './sitePictures.service';

@ApiTags('pictures')
@Controller('api/sites/:site/assets')
export class SitePicturesController {
  constructor(
    private readonly pictures: SitePictures,
    private readonly uploads: Uploads,
  ) {}

  @Post()
  @Allow(['designer', 'keeper'])
  @AnswersCore('AssetFacts')
  @TakesFile(LIMITS.upload.pictureBytes)
  @ApiOperation({ summary: 'Make a picture anew and keep it; answers its facts, to be put as a record' })
  upload(@Param('site') site: string, @SentFile() file: Incoming): Promise<AssetFacts> {
    return this.uploads.keep('picture', site, file);
  }

  @Post('files')
  @Allow(['designer', 'keeper'])
  @AnswersCore('AssetFacts')
  @TakesFile(LIMITS.upload.fileBytes)
  @ApiOperation({ summary: 'Keep a file to be linked to as it is; answers its facts, to be put as a record' })
  uploadFile(
    @Param('site') site: string,
    @Query() { name }: FileQuery,
    @SentFile() file: Incoming,
  ): Promise<AssetFacts> {
    return this.uploads.keep('file', site, file, name);
  }

  @Get(':file')
  @Allow(MEMBERS)
  @AnswersFile('image/*')
  @ApiOperation({ summary: 'A stored picture, or a file' })
  async picture(
    @Param('site') site: string,
    @Param('file') file: string,
    @CurrentCaller() { account }: Caller,
    @Res() response: Response,
  ): Promise<void> {
    const found = await this.pictures.find(site, file, account);
    if (!found) throw notFound('picture');
    const { mime, data } = found;
    response.writeHead(200, {
      'content-type': mime,
      ...(isFileType(mime) && { 'content-disposition': 'attachment' }),
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'; sandbox",
    });
    response.end(data);
  }
}
