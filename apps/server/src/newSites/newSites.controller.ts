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
  @ApiOperation({ summary: 'Begin a site of a ready one, in its guide or another, as its designer → {id}' })
  create(@CurrentCaller() { account }: Caller, @Body() asked: NewSiteDto): Promise<MadeSiteDto> {
    return this.sites.create(account, asked);
  }
}
