import { libraryPictures } from '@cove/core/starters';
import { Controller, Get, Param, Query, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersFile, AnswersList } from '../api/answers';
import { Allow } from '../common/access';
import { notFound } from '../common/problem';
import { AddressQuery, LibraryPictureDto, LibraryQuery, WidthQuery } from './dto/outside.dto';
import { type OutsideAnswer, SimulatedWeb } from './simulatedWeb';

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Nothing from outside is drawn as anything but a picture, nor kept by others. */
function send(response: Response, { type, data }: OutsideAnswer, cache: string): void {
  response.writeHead(200, {
    'content-type': type.startsWith('image/') ? type : 'application/octet-stream',
    'cache-control': cache,
    'content-security-policy': "default-src 'none'; sandbox",
  });
  response.end(data);
}

/** Stand-ins for services of others: a library of pictures, and addresses of the web. */
@ApiTags('outside')
@Controller('api/outside')
export class OutsideController {
  constructor(private readonly web: SimulatedWeb) {}

  @Get('pictures')
  @Allow('signed-in')
  @AnswersList(LibraryPictureDto)
  @ApiOperation({
    summary: 'Pictures of the simulated library, those with all the words where some are given',
  })
  async pictures(@Query() { words = '' }: LibraryQuery) {
    await this.web.answerTime('The picture library');
    const wanted = plain(words).split(/\s+/).filter(Boolean);
    return libraryPictures().filter(({ name, alt, subjects }) => {
      const said = plain([name, alt, ...subjects].join(' '));
      return wanted.every(it => said.includes(it));
    });
  }

  @Get('pictures/:picture')
  @Allow('signed-in')
  @AnswersFile('image/jpeg')
  @ApiOperation({ summary: 'One of them' })
  async picture(
    @Param('picture') id: string,
    @Query() { width }: WidthQuery,
    @Res() response: Response,
  ): Promise<void> {
    const data = await this.web.picture(id, width);
    if (!data) throw notFound('picture');
    send(response, { type: 'image/jpeg', data }, 'private, max-age=86400');
  }

  @Get('address')
  @Allow('signed-in')
  @AnswersFile('image/*')
  @ApiOperation({ summary: 'What is found at a web address, through the simulated outside' })
  async address(@Query() { address }: AddressQuery, @Res() response: Response): Promise<void> {
    send(response, await this.web.fetch(address), 'no-store');
  }
}
