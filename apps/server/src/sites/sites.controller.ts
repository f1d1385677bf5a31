import { LIMITS } from '@cove/core';
import { Body, Controller, Delete, Get, Headers, Param, Post, Put, Query, Res } from '@nestjs/common';
import { ApiBody, ApiExtraModels, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Answers, AnswersFile, AnswersList, AnswersNothing } from '../api/answers';
import { type Sent, sendJson } from '../api/json';
import {
  Allow,
  type Caller,
  CurrentCaller,
  CurrentMembership,
  MEMBERS,
  type Membership,
} from '../common/access';
import { SentBytes } from '../common/body.interceptor';
import { ProblemException } from '../common/problem';
import { Takes } from '../common/takes';
import { CarriesRecords } from '../schema/schema.guard';
import { Workshop } from '../work/workshop.service';
import { AcceptService } from './accept.service';
import { AcceptedChangeDto, ReceiptDto } from './dto/acceptedChange.dto';
import { ChangeDto } from './dto/change.dto';
import { ChangesQuery, EventsQuery } from './dto/events.dto';
import { HereDto, PresenceDto } from './dto/presence.dto';
import { SiteDto } from './dto/site.dto';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';
import { SitesService } from './sites.service';

/** Changes that one request is answered with, where it does not ask for fewer. */
const MOST_CHANGES = 500;

@ApiTags('sites')
@Controller('api/sites')
export class SitesController {
  constructor(
    private readonly sites: SitesService,
    private readonly changes: AcceptService,
    private readonly events: EventsService,
    private readonly presence: PresenceService,
    private readonly workshop: Workshop,
  ) {}

  @Get(':site')
  @Allow(MEMBERS)
  @CarriesRecords()
  @Answers(SiteDto)
  @ApiOperation({ summary: 'A whole site' })
  async get(@Param('site') site: string, @Res() response: Response): Promise<Sent<SiteDto>> {
    return sendJson(response, await this.workshop.run('readSite', { site }));
  }

  @Post(':site/changes')
  @CarriesRecords()
  @Allow(['designer', 'keeper'])
  @Answers(ReceiptDto)
  @Takes({ as: 'bytes', bytes: LIMITS.change.bytes })
  @ApiParam({ name: 'site' })
  @ApiBody({ type: ChangeDto })
  @ApiOperation({ summary: 'Alter a site' })
  async change(
    @CurrentMembership() { site }: Membership,
    @CurrentCaller() caller: Caller,
    @SentBytes() sent: Buffer,
  ) {
    const accepted = await this.changes.acceptSent(site, caller.account, sent);
    if (!accepted.ok) throw new ProblemException(accepted.problem);
    return accepted.value;
  }

  @Get(':site/changes')
  @CarriesRecords()
  @Allow(MEMBERS)
  @AnswersList(AcceptedChangeDto)
  @ApiOperation({ summary: 'Accepted changes after a number, oldest first' })
  async read(
    @Param('site') site: string,
    @Query() { after = 0, limit = MOST_CHANGES }: ChangesQuery,
    @Res() response: Response,
  ): Promise<Sent<readonly AcceptedChangeDto[]>> {
    return sendJson(response, await this.workshop.run('readChanges', { site, after, limit }));
  }

  @Get(':site/events')
  @CarriesRecords()
  @Allow(MEMBERS)
  @ApiExtraModels(AcceptedChangeDto, PresenceDto)
  @AnswersFile('text/event-stream')
  @ApiOperation({ summary: 'What happens at a site, as server-sent events; replays after Last-Event-ID' })
  async stream(
    @Param('site') site: string,
    @CurrentCaller() caller: Caller,
    @Headers('last-event-id') last: string | undefined,
    @Query() query: EventsQuery,
    @Res() response: Response,
  ): Promise<void> {
    const numbers = await this.sites.numbersOf(site);
    const after = last !== undefined && /^\d{1,9}$/.test(last) ? Number(last) : (query.after ?? null);
    await this.events.open(site, caller, after, numbers, response);
  }

  @Put(':site/presence')
  @Allow(MEMBERS)
  @AnswersNothing()
  @ApiOperation({ summary: 'Tell the others where one is; again every half minute' })
  here(
    @Param('site') site: string,
    @CurrentCaller() { account, name }: Caller,
    @Body() body: HereDto,
  ): Promise<void> {
    return this.presence.here(site, account, name, body);
  }

  @Delete(':site/presence/:client')
  @Allow(MEMBERS)
  @AnswersNothing()
  @ApiOperation({ summary: 'Tell the others that one has left' })
  leave(
    @Param('site') site: string,
    @Param('client') client: string,
    @CurrentCaller() { account, name }: Caller,
  ): Promise<void> {
    return this.presence.leave(site, account, name, client);
  }
}
