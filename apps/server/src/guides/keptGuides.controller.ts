import { Body, Controller, Delete, Get, Param, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersCore, AnswersList, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { CarriesRecords } from '../schema/schema.guard';
import { GiveFilesDto, KeepGuideDto } from './dto/keptGuide.dto';
import { KeptGuideDto } from './dto/keptGuideSummary.dto';
import { KeptGuides } from './keptGuides.service';

@ApiTags('guides')
@Controller('api/guides')
@Allow('signed-in')
export class KeptGuidesController {
  constructor(private readonly guides: KeptGuides) {}

  @Get()
  @AnswersList(KeptGuideDto)
  @ApiOperation({ summary: 'Guides that one has kept' })
  list(@CurrentCaller() { account }: Caller) {
    return this.guides.list(account);
  }

  @Get(':guide')
  @CarriesRecords()
  @AnswersCore('GuideData')
  @ApiOperation({ summary: 'A kept guide with all its records' })
  read(@CurrentCaller() { account }: Caller, @Param('guide') guide: string) {
    return this.guides.read(account, guide);
  }

  @Post()
  @Answers(KeptGuideDto)
  @ApiOperation({ summary: 'Keep the guide of a site that one designs' })
  keep(@CurrentCaller() { account }: Caller, @Body() { site, name, about }: KeepGuideDto) {
    return this.guides.keep(account, site, name, about);
  }

  @Post(':guide/files')
  @AnswersNothing()
  @ApiOperation({ summary: 'Give the fonts and pictures of a kept guide to a site that one designs' })
  giveFiles(
    @CurrentCaller() { account }: Caller,
    @Param('guide') guide: string,
    @Body() { site }: GiveFilesDto,
  ): Promise<void> {
    return this.guides.giveFiles(account, guide, site);
  }

  @Delete(':guide')
  @AnswersNothing()
  @ApiOperation({ summary: 'Forget a kept guide; sites that took it keep what they took' })
  forget(@CurrentCaller() { account }: Caller, @Param('guide') guide: string): Promise<void> {
    return this.guides.forget(account, guide);
  }
}
