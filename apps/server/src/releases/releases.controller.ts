import { Body, Controller, Get, Param, Post, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller, MEMBERS } from '../common/access';
import { LiveDto } from './dto/live.dto';
import { PublishDto } from './dto/publish.dto';
import { OrderedReleaseDto, ReleasesDto } from './dto/release.dto';
import { ReleasesService } from './releases.service';

@ApiTags('releases')
@Controller('api/sites/:site')
export class ReleasesController {
  constructor(private readonly releases: ReleasesService) {}

  @Get('releases')
  @Answers(ReleasesDto)
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'Releases, newest first, with their progress' })
  list(@Param('site') site: string) {
    return this.releases.list(site);
  }

  @Post('releases')
  @Allow(['designer'])
  @Answers(OrderedReleaseDto, { status: 202 })
  @ApiOperation({ summary: 'Publish the draft in the background' })
  publish(@Param('site') site: string, @CurrentCaller() caller: Caller, @Body() body: PublishDto) {
    return this.releases.publish(site, caller.account, body.note ?? '', body.leaveOut ?? false);
  }

  @Put('live')
  @Allow(['designer'])
  @AnswersNothing()
  @ApiOperation({ summary: 'Show visitors another release' })
  live(@Param('site') site: string, @Body() body: LiveDto): Promise<void> {
    return this.releases.goLive(site, body.release);
  }
}
