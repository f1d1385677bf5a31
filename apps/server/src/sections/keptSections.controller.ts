import { Body, Controller, Delete, Get, Param, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersList, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { CarriesRecords } from '../schema/schema.guard';
import { KeepSectionDto } from './dto/keptSection.dto';
import { KeptSectionDto, WholeKeptSectionDto } from './dto/keptSectionSummary.dto';
import { KeptSections } from './keptSections.service';

@ApiTags('sections')
@Controller('api/sections')
@Allow('signed-in')
export class KeptSectionsController {
  constructor(private readonly sections: KeptSections) {}

  @Get()
  @CarriesRecords()
  @AnswersList(WholeKeptSectionDto)
  @ApiOperation({ summary: 'Sections that one has kept, with all they hold' })
  list(@CurrentCaller() { account }: Caller) {
    return this.sections.list(account);
  }

  @Post()
  @Answers(KeptSectionDto)
  @ApiOperation({ summary: 'Keep a section of a site that one designs' })
  keep(@CurrentCaller() { account }: Caller, @Body() { site, section, name }: KeepSectionDto) {
    return this.sections.keep(account, site, section, name.trim());
  }

  @Delete(':section')
  @AnswersNothing()
  @ApiOperation({ summary: 'Forget a kept section; pages that took it keep what they took' })
  forget(@CurrentCaller() { account }: Caller, @Param('section') section: string): Promise<void> {
    return this.sections.forget(account, section);
  }
}
