import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { NewSiteDto } from './dto/newSite.dto';
import { NewSites } from './newSites.service';

@ApiTags('sites')
@Controller('api/sites')
@Allow('signed-in')
export class NewSitesController {
  constructor(private readonly sites: NewSites) {}

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Begin a site of a ready one, as its designer: {name, starter} → {id}' })
  create(
    @CurrentCaller() { account }: Caller,
    @Body() { name, starter }: NewSiteDto,
  ): Promise<{ id: string }> {
    return this.sites.create(account, name.trim(), starter);
  }
}
