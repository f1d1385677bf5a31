import { Body, Controller, Delete, Get, Param, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersCore, AnswersList, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller, MEMBERS } from '../common/access';
import { CarriesRecords } from '../schema/schema.guard';
import { RestoreDto, SnapshotDto } from './dto/snapshot.dto';
import { KeptSnapshotDto, RestoredDto, SnapshotSummaryDto } from './dto/snapshotSummary.dto';
import { SnapshotsService } from './snapshots.service';

@ApiTags('snapshots')
@Controller('api/sites/:site/snapshots')
export class SnapshotsController {
  constructor(private readonly snapshots: SnapshotsService) {}

  @Get()
  @Allow(MEMBERS)
  @AnswersList(SnapshotSummaryDto)
  @ApiOperation({ summary: 'Snapshots of a site, the newest first' })
  list(@Param('site') site: string) {
    return this.snapshots.list(site);
  }

  @Get(':snapshot/guide')
  @CarriesRecords()
  @AnswersCore('GuideData')
  @Allow(['designer'])
  @ApiOperation({ summary: 'The guide of a snapshot, to be compared and taken over in parts' })
  guide(@Param('site') site: string, @Param('snapshot') snapshot: string) {
    return this.snapshots.guide(site, snapshot);
  }

  @Post()
  @Allow(['designer'])
  @Answers(KeptSnapshotDto, { status: 201 })
  @ApiOperation({ summary: 'Keep the site as it is now' })
  keep(@Param('site') site: string, @CurrentCaller() { account }: Caller, @Body() { note }: SnapshotDto) {
    return this.snapshots.keep(site, account, note);
  }

  @Post(':snapshot/restore')
  @Allow(['designer'])
  @Answers(RestoredDto)
  @ApiOperation({
    summary: 'Go back to a snapshot, whole or its guide alone; answers the number of the change',
  })
  restore(
    @Param('site') site: string,
    @Param('snapshot') snapshot: string,
    @CurrentCaller() { account }: Caller,
    @Body() { part = 'all' }: RestoreDto,
  ) {
    return this.snapshots.restore(site, account, snapshot, part);
  }

  @Delete(':snapshot')
  @Allow(['designer'])
  @AnswersNothing()
  @ApiOperation({ summary: 'Forget a snapshot' })
  forget(@Param('site') site: string, @Param('snapshot') snapshot: string): Promise<void> {
    return this.snapshots.forget(site, snapshot);
  }
}
