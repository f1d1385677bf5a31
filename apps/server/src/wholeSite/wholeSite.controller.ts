import { LIMITS } from '@cove/core';
import { Controller, Get, Param, Post, Query, Res } from '@nestjs/common';
import { ApiExtraModels, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { AnswersFile } from '../api/answers';
import { answerWithProgress, PROGRESS_TYPE } from '../api/progress';
import { sendArchive } from '../api/sendArchive';
import { Allow, type Caller, CurrentCaller, CurrentMembership, type Membership } from '../common/access';
import { type Incoming, SentFile } from '../common/body.interceptor';
import { TakesFile } from '../common/takes';
import { MadeSiteDto } from '../newSites/dto/madeSite.dto';
import { SiteNameDto } from '../siteList/dto/siteCare.dto';
import { Workshop } from '../work/workshop.service';
import { ReplacedSiteDto } from './dto/replacedSite.dto';
import { WholeSites } from './wholeSites.service';

@ApiTags('whole site')
@Controller('api/sites')
export class WholeSiteController {
  constructor(
    private readonly workshop: Workshop,
    private readonly wholeSites: WholeSites,
  ) {}

  @Get(':site/whole.zip')
  @Allow(['designer'])
  @AnswersFile('application/zip')
  @ApiOperation({
    summary: 'The whole site as JSON with its pictures and fonts; the same bytes for the same site',
  })
  async pack(@Param('site') site: string, @Res() response: Response): Promise<void> {
    await sendArchive(response, await this.workshop.run('packSite', { site }));
  }

  @Post('whole')
  @Allow('signed-in')
  @TakesFile(LIMITS.wholeSite.bytes)
  @ApiExtraModels(MadeSiteDto)
  @AnswersFile(PROGRESS_TYPE)
  @ApiOperation({
    summary:
      'Begin a site as a whole one that is sent: lines of {progress}, then {result: {id}} or {problem}',
  })
  async begin(
    @Query() { name }: SiteNameDto,
    @CurrentCaller() { account }: Caller,
    @SentFile() sent: Incoming,
    @Res() response: Response,
  ): Promise<void> {
    await answerWithProgress(response, waiter => this.wholeSites.begin(account, name.trim(), sent, waiter));
  }

  @Post(':site/whole')
  @Allow(['designer'])
  @ApiParam({ name: 'site' })
  @TakesFile(LIMITS.wholeSite.bytes)
  @ApiExtraModels(ReplacedSiteDto)
  @AnswersFile(PROGRESS_TYPE)
  @ApiOperation({
    summary: 'Lay a whole site that is sent over this one, which is kept as a snapshot; answers as above',
  })
  async replace(
    @CurrentMembership() { site }: Membership,
    @CurrentCaller() { account }: Caller,
    @SentFile() sent: Incoming,
    @Res() response: Response,
  ): Promise<void> {
    await answerWithProgress(response, waiter => this.wholeSites.replace(site, account, sent, waiter));
  }
}
