import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersFile } from '../api/answers';
import { Allow } from '../common/access';
import { notFound } from '../common/problem';
import { readShippedFont } from '../files/shippedFonts';

@ApiTags('fonts')
@Controller('fonts')
export class ShippedFontsController {
  @Get(':file')
  @Allow('anyone')
  @AnswersFile('font/woff2')
  @ApiOperation({ summary: 'A font shipped with the program' })
  async font(@Param('file') file: string, @Res() response: Response): Promise<void> {
    const data = await readShippedFont(file);
    if (!data) throw notFound('font');
    response.writeHead(200, {
      'content-type': 'font/woff2',
      'cache-control': 'public, max-age=31536000, immutable',
    });
    response.end(data);
  }
}
