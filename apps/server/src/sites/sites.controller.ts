import { readEdits } from '@cove/core';
import { Body, Controller, Get, Headers, HttpCode, Param, Post, Query, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectRepository } from '@nestjs/typeorm';
import type { Response } from 'express';
import { Repository } from 'typeorm';
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
import { EventsQuery } from './dto/events.dto';
import { Member } from './entities/member.entity';
import { EventsService } from './events.service';
import { SiteCache } from './siteCache.service';

@ApiTags('sites')
@Controller('api/sites')
export class SitesController {
  constructor(
    @InjectRepository(Member) private readonly members: Repository<Member>,
    private readonly cache: SiteCache,
    private readonly changes: AcceptService,
    private readonly events: EventsService,
    private readonly config: Config,
  ) {}

  @Get()
  @Allow('signed-in')
  @ApiOperation({ summary: 'Sites one is a member of' })
  async list(@CurrentCaller() caller: Caller): Promise<unknown> {
    const rows: { id: string; name: string; slug: string; role: string; keeperMay: string }[] =
      await this.members.query(
        'select s.id, s.name, s.slug, m.role, s.keeper_may as "keeperMay" from members m join sites s on s.id = m.site_id where m.account_id = $1 order by s.created_at, s.id',
        [caller.account],
      );
    return rows.map(({ slug, ...row }) => ({ ...row, address: `${this.config.COVE_SITES_ORIGIN}/${slug}/` }));
  }

  @Get(':site')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'A whole site: {seq, records}' })
  get(@Param('site') site: string) {
    return this.cache.records(site);
  }

  @Post(':site/changes')
  @Allow(['designer', 'keeper'])
  @HttpCode(200)
  @ApiOperation({ summary: 'Alter a site: {id, edits} → {seq}' })
  async change(
    @CurrentMembership() membership: Membership,
    @CurrentCaller() caller: Caller,
    @Body() body: ChangeDto,
  ) {
    const edits = readEdits(body.edits);
    if (!edits.ok) throw new ProblemException(edits.problem);
    const accepted = await this.changes.accept(membership, caller.account, body.id, edits.value);
    if (!accepted.ok) throw new ProblemException(accepted.problem);
    return accepted.value;
  }

  @Get(':site/events')
  @Allow(MEMBERS)
  @ApiOperation({ summary: 'Accepted changes as server-sent events; replays after Last-Event-ID' })
  async stream(
    @Param('site') site: string,
    @Headers('last-event-id') last: string | undefined,
    @Query() query: EventsQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { seq } = await this.cache.at(site);
    const after = last !== undefined && /^\d{1,9}$/.test(last) ? Number(last) : (query.after ?? null);
    this.events.open(site, after, seq, response);
  }
}
