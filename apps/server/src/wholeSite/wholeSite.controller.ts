import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersFile } from '../api/answers';
import { sendArchive } from '../api/sendArchive';
import { Allow } from '../common/access';
import { Workshop } from '../work/workshop.service';

@ApiTags('whole site')
@Controller('api/sites/:site/whole.zip')
@Allow(['designer'])
export class WholeSiteController {
  constructor(private readonly workshop: Workshop) {}

  @Get()
  @AnswersFile('application/zip')
  @ApiOperation({
    summary: 'The whole site as JSON with its pictures and fonts; the same bytes for the same site',
  })
  async pack(@Param('site') site: string, @Res() response: Response): Promise<void> {
    await sendArchive(response, await this.workshop.run('packSite', { site }));
  }
}
