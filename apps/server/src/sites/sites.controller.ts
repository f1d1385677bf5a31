import { readEdits } from '@cove/core';
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
import { ApiOperation, ApiTags } from '@nestjs/swagger';
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
import { ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { AcceptService } from './accept.service';
import { ChangeDto } from './dto/change.dto';
import { ChangesQuery, EventsQuery } from './dto/events.dto';
import { PresenceDto } from './dto/presence.dto';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';
import { SiteCache } from './siteCache';
import { SiteFeed } from './siteFeed';

@ApiTags('sites')
@Controller('api/sites')
export class SitesController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly cache: SiteCache,
    private readonly changes: AcceptService,
    private readonly events: EventsService,
    private readonly presence: PresenceService,
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
  @ApiOperation({ summary: 'A whole site: {seq, records}' })
  async get(@Param('site') site: string, @Res() response: Response): Promise<void> {
    const { seq, records } = await this.cache.text(site);
    response.type('json').send(`{"seq":${seq},"records":${records}}`);
  }

  @Post(':site/changes')
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @ApiOperation({ summary: 'Alter a site: {id, edits} → {seq}' })
  async change(
    @CurrentMembership() { site }: Membership,
    @CurrentCaller() caller: Caller,
    @Body() body: ChangeDto,
  ) {
    const edits = readEdits(body.edits);
    if (!edits.ok) throw new ProblemException(edits.problem);
    const accepted = await this.changes.accept({
      site,
      account: caller.account,
      id: body.id,
      base: body.base ?? 0,
      edits: edits.value,
    });
    if (!accepted.ok) throw new ProblemException(accepted.problem);
    return accepted.value;
  }

  @Get(':site/changes')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'Accepted changes after a number, oldest first' })
  read(@Param('site') site: string, @Query() { after = 0, limit }: ChangesQuery) {
    return SiteFeed.read(this.database, site, after, limit);
  }

  @Get(':site/events')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'What happens at a site, as server-sent events; replays after Last-Event-ID' })
  async stream(
    @Param('site') site: string,
    @CurrentCaller() caller: Caller,
    @Headers('last-event-id') last: string | undefined,
    @Query() query: EventsQuery,
    @Res() response: Response,
  ): Promise<void> {
    const seq = await this.cache.seqOf(site);
    const after = last !== undefined && /^\d{1,9}$/.test(last) ? Number(last) : (query.after ?? null);
    await this.events.open(site, caller, after, seq, response);
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
