import { LIMITS } from '@cove/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
  Res,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import {
  Allow,
  type Caller,
  CurrentCaller,
  CurrentMembership,
  MEMBERS,
  type Membership,
} from '../common/access';
import { SentBytes } from '../common/body.interceptor';
import { notFound, ProblemException } from '../common/problem';
import { Takes } from '../common/takes';
import { Config } from '../config/config';
import { CarriesRecords } from '../schema/schema.guard';
import { Workshop } from '../work/workshop.service';
import { AcceptService } from './accept.service';
import { ChangeDto } from './dto/change.dto';
import { ChangesQuery, EventsQuery } from './dto/events.dto';
import { PresenceDto } from './dto/presence.dto';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';

/** Changes that one request is answered with, where it does not ask for fewer. */
const MOST_CHANGES = 500;

@ApiTags('sites')
@Controller('api/sites')
export class SitesController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly changes: AcceptService,
    private readonly events: EventsService,
    private readonly presence: PresenceService,
    private readonly workshop: Workshop,
    private readonly config: Config,
  ) {}

  @Get()
  @Allow('signed-in')
  @ApiOperation({ summary: 'Sites one is a member of' })
  async list(@CurrentCaller() caller: Caller): Promise<unknown> {
    const rows: { id: string; name: string; slug: string; role: string; keeperMay: string }[] =
      await this.database.query(
        'select s.id, s.name, s.slug, m.role, s.keeper_may as "keeperMay" from members m join sites s on s.id = m.site_id where m.account_id = $1 order by s.created_at, s.id',
        [caller.account],
      );
    return rows.map(({ slug, ...row }) => ({ ...row, address: `${this.config.COVE_SITES_ORIGIN}/${slug}/` }));
  }

  @Get(':site')
  @Allow(MEMBERS)
  @CarriesRecords()
  @ApiOperation({ summary: 'A whole site: {seq, records}' })
  async get(@Param('site') site: string, @Res() response: Response): Promise<void> {
    const body = await this.workshop.run('readSite', { site });
    response.writeHead(200, { 'content-type': 'application/json; charset=utf-8' });
    response.end(body);
  }

  @Post(':site/changes')
  @CarriesRecords()
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @Takes({ as: 'bytes', bytes: LIMITS.change.bytes })
  @ApiBody({ type: ChangeDto })
  @ApiOperation({ summary: 'Alter a site: {id, edits} → {seq}' })
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
  @ApiOperation({ summary: 'Accepted changes after a number, oldest first' })
  async read(
    @Param('site') site: string,
    @Query() { after = 0, limit = MOST_CHANGES }: ChangesQuery,
    @Res() response: Response,
  ): Promise<void> {
    const body = await this.workshop.run('readChanges', { site, after, limit });
    response.writeHead(200, { 'content-type': 'application/json; charset=utf-8' });
    response.end(body);
  }

  @Get(':site/events')
  @CarriesRecords()
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'What happens at a site, as server-sent events; replays after Last-Event-ID' })
  async stream(
    @Param('site') site: string,
    @CurrentCaller() caller: Caller,
    @Headers('last-event-id') last: string | undefined,
    @Query() query: EventsQuery,
    @Res() response: Response,
  ): Promise<void> {
    const numbers = await this.numbersOf(site);
    const after = last !== undefined && /^\d{1,9}$/.test(last) ? Number(last) : (query.after ?? null);
    await this.events.open(site, caller, after, numbers, response);
  }

  /** Number of the last change, and of the last that nobody can replay. */
  private async numbersOf(site: string): Promise<{ seq: number; resetAt: number }> {
    const rows: { seq: number; resetAt: number }[] = await this.database.query(
      'select seq, reset_at as "resetAt" from sites where id = $1',
      [site],
    );
    const [row] = rows;
    if (!row) throw notFound('site');
    return row;
  }

  @Put(':site/presence')
  @Allow(MEMBERS)
  @HttpCode(204)
  @ApiOperation({ summary: 'Tell the others where one is; again every half minute' })
  here(
    @Param('site') site: string,
    @CurrentCaller() { account, name }: Caller,
    @Body() body: PresenceDto,
  ): Promise<void> {
    return this.presence.here(site, account, name, body);
  }

  @Delete(':site/presence/:client')
  @Allow(MEMBERS)
  @HttpCode(204)
  @ApiOperation({ summary: 'Tell the others that one has left' })
  leave(
    @Param('site') site: string,
    @Param('client') client: string,
    @CurrentCaller() { account, name }: Caller,
  ): Promise<void> {
    return this.presence.leave(site, account, name, client);
  }
}
