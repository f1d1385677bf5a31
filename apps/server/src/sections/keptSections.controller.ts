import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { CarriesRecords } from '../schema/schema.guard';
import { KeepSectionDto } from './dto/keptSection.dto';
import { KeptSections } from './keptSections.service';

@ApiTags('sections')
@Controller('api/sections')
@Allow('signed-in')
export class KeptSectionsController {
  constructor(private readonly sections: KeptSections) {}

  @Get()
  @CarriesRecords()
  @Header('content-type', 'application/json; charset=utf-8')
  @ApiOperation({ summary: 'Sections that one has kept, with all they hold' })
  list(@CurrentCaller() { account }: Caller) {
    return this.sections.list(account);
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a section of a site that one designs' })
  keep(@CurrentCaller() { account }: Caller, @Body() { site, section, name }: KeepSectionDto) {
    return this.sections.keep(account, site, section, name.trim());
  }

  @Delete(':section')
  @HttpCode(204)
  @ApiOperation({ summary: 'Forget a kept section; pages that took it keep what they took' })
  forget(@CurrentCaller() { account }: Caller, @Param('section') section: string): Promise<void> {
    return this.sections.forget(account, section);
  }
}
