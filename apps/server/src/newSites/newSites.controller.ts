import { Body, Controller, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Answers } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { MadeSiteDto } from './dto/madeSite.dto';
import { NewSiteDto } from './dto/newSite.dto';
import { NewSites } from './newSites.service';

@ApiTags('sites')
@Controller('api/sites')
@Allow('signed-in')
export class NewSitesController {
  constructor(private readonly sites: NewSites) {}

  @Post()
  @Answers(MadeSiteDto)
  @ApiOperation({ summary: 'Begin a site of a ready one, as its designer: {name, starter} → {id}' })
  create(@CurrentCaller() { account }: Caller, @Body() { name, starter }: NewSiteDto): Promise<MadeSiteDto> {
    return this.sites.create(account, name.trim(), starter);
  }
}
