import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { CarriesRecords } from '../schema/schema.guard';
import { GiveFilesDto, KeepGuideDto } from './dto/keptGuide.dto';
import { KeptGuides } from './keptGuides.service';

@ApiTags('guides')
@Controller('api/guides')
@Allow('signed-in')
export class KeptGuidesController {
  constructor(private readonly guides: KeptGuides) {}

  @Get()
  @ApiOperation({ summary: 'Guides that one has kept' })
  list(@CurrentCaller() { account }: Caller) {
    return this.guides.list(account);
  }

  @Get(':guide')
  @CarriesRecords()
  @Header('content-type', 'application/json; charset=utf-8')
  @ApiOperation({ summary: 'A kept guide with all its records' })
  read(@CurrentCaller() { account }: Caller, @Param('guide') guide: string) {
    return this.guides.read(account, guide);
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep the guide of a site that one designs' })
  keep(@CurrentCaller() { account }: Caller, @Body() { site, name, about }: KeepGuideDto) {
    return this.guides.keep(account, site, name, about);
  }

  @Post(':guide/files')
  @HttpCode(204)
  @ApiOperation({ summary: 'Give the fonts and pictures of a kept guide to a site that one designs' })
  giveFiles(
    @CurrentCaller() { account }: Caller,
    @Param('guide') guide: string,
    @Body() { site }: GiveFilesDto,
  ): Promise<void> {
    return this.guides.giveFiles(account, guide, site);
  }

  @Delete(':guide')
  @HttpCode(204)
  @ApiOperation({ summary: 'Forget a kept guide; sites that took it keep what they took' })
  forget(@CurrentCaller() { account }: Caller, @Param('guide') guide: string): Promise<void> {
    return this.guides.forget(account, guide);
  }
}
