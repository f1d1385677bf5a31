import type { RoleName } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { MoreThan, Repository } from 'typeorm';
import type { Caller } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { hashOf, newSecret } from '../common/secret';
import { Config } from '../config/config';
import { Invitation, SiteEntity } from '../database/entities';
import { OutboxService } from '../outbox/outbox.service';
import type { InvitationDto, InvitedDto, InvitedToDto, JoinedDto } from './dto/invitation.dto';
import { MembersService } from './members.service';

const DAYS = 7;
const DAY = 24 * 60 * 60 * 1000;

const living = () => ({ expiresAt: MoreThan(new Date()) });

/** Links that make whoever opens them a member of a site, once. */
@Injectable()
export class InvitationsService {
  constructor(
    @InjectRepository(Invitation) private readonly invitations: Repository<Invitation>,
    @InjectRepository(SiteEntity) private readonly sites: Repository<SiteEntity>,
    private readonly members: MembersService,
    private readonly outbox: OutboxService,
    private readonly config: Config,
  ) {}

  list(site: string): Promise<InvitationDto[]> {
    return this.invitations.find({
      select: { id: true, email: true, role: true, expiresAt: true },
      where: { siteId: site, ...living() },
      order: { createdAt: 'ASC', id: 'ASC' },
    });
  }

  /** Makes a link and sends it; it is told here once, and kept as a hash alone. */
  async invite(site: string, by: Caller, email: string, role: RoleName): Promise<InvitedDto> {
    const secret = newSecret();
    const { name } = await this.sites.findOneByOrFail({ id: site });
    await this.invitations.insert({
      tokenHash: hashOf(secret),
      siteId: site,
      role,
      email: email.toLowerCase(),
      createdBy: by.account,
      expiresAt: new Date(Date.now() + DAYS * DAY),
    });
    const link = `${this.config.COVE_ORIGIN}/join#${secret}`;
    await this.outbox.send({
      recipient: email,
      subject: `${by.name} invites you to ${name}`,
      body: `Hello,\n\n${by.name} would like you to be a ${role} of ${name}. With this link you join:\n${link}\n\nIt works once, for ${DAYS} days.`,
      site,
    });
    return { link };
  }

  async takeBack(site: string, invitation: string): Promise<void> {
    const { affected } = await this.invitations.delete({ siteId: site, id: invitation });
    if (!affected) throw notFound('invitation');
  }

  /** What a link invites to. */
  async look(secret: string): Promise<InvitedToDto> {
    const found = await this.invitations.findOne({
      where: { tokenHash: hashOf(secret), ...living() },
      relations: { site: true },
    });
    if (!found) throw spent();
    return { site: found.siteId, name: found.site.name, role: found.role, email: found.email };
  }

  /** Uses a link up, and makes whoever it is a member; both, or neither. */
  accept(secret: string, account: string): Promise<JoinedDto> {
    return this.invitations.manager.transaction(async manager => {
      const found = await manager.findOne(Invitation, {
        where: { tokenHash: hashOf(secret), ...living() },
        lock: { mode: 'pessimistic_write' },
      });
      if (!found) throw spent();
      const { siteId: site, role } = found;
      await manager.remove(found);
      await this.members.add(manager, site, account, role);
      return { site };
    });
  }
}

const spent = (): ProblemException =>
  new ProblemException({
    code: 'spent-link',
    message: 'This invitation has been used, taken back, or is too old. Ask for another.',
  });
