import { Body, Controller, Delete, Get, Param, Post, Put, Query } from '@nestjs/common';
import { ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersList, AnswersNothing } from '../api/answers';
import {
  Allow,
  type Caller,
  CurrentCaller,
  CurrentMembership,
  MEMBERS,
  type Membership,
} from '../common/access';
import { MadeSiteDto } from '../newSites/dto/madeSite.dto';
import { Workshop } from '../work/workshop.service';
import { ArchiveDto, DeleteSiteQuery, PaletteDto, SiteNameDto } from './dto/siteCare.dto';
import { SiteSummaryDto } from './dto/siteSummary.dto';
import { SiteListService } from './siteList.service';

/** Sites as a list shows them, and what is done with one as a whole. */
@ApiTags('sites')
@Controller('api/sites')
@Allow(['designer'])
export class SiteListController {
  constructor(
    private readonly sites: SiteListService,
    private readonly workshop: Workshop,
  ) {}

  @Get()
  @AnswersList(SiteSummaryDto)
  @Allow('signed-in')
  @ApiOperation({ summary: 'Sites one is a member of, the one changed last first' })
  list(@CurrentCaller() { account }: Caller): Promise<SiteSummaryDto[]> {
    return this.sites.of(account);
  }

  @Get(':site/palette')
  @Answers(PaletteDto)
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'The main colours of a site' })
  async palette(@Param('site') site: string): Promise<PaletteDto> {
    return { colors: await this.workshop.run('paletteOfSite', { site }) };
  }

  @Put(':site/name')
  @ApiParam({ name: 'site' })
  @AnswersNothing()
  @ApiOperation({ summary: 'Rename a site' })
  rename(
    @CurrentMembership() { site }: Membership,
    @CurrentCaller() { account }: Caller,
    @Body() { name }: SiteNameDto,
  ): Promise<void> {
    return this.sites.rename(site, account, name.trim());
  }

  @Put(':site/archived')
  @AnswersNothing()
  @ApiOperation({ summary: 'Lay a site aside, or take it up again' })
  archive(@Param('site') site: string, @Body() { archived }: ArchiveDto): Promise<void> {
    return this.sites.setArchived(site, archived);
  }

  @Post(':site/copies')
  @ApiParam({ name: 'site' })
  @Answers(MadeSiteDto)
  @ApiOperation({ summary: 'Begin a site as a copy of this one; releases and people stay behind → {id}' })
  copy(
    @CurrentMembership() { site }: Membership,
    @CurrentCaller() { account }: Caller,
    @Body() { name }: SiteNameDto,
  ): Promise<MadeSiteDto> {
    return this.sites.copy(site, account, name.trim());
  }

  @Delete(':site')
  @AnswersNothing()
  @ApiOperation({ summary: 'Delete a site with all its releases, for good' })
  remove(@Param('site') site: string, @Query() { name }: DeleteSiteQuery): Promise<void> {
    return this.sites.remove(site, name);
  }
}
