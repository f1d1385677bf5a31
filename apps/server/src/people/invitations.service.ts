import type { RoleName } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { Caller } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { hashOf, newSecret } from '../common/secret';
import { Config } from '../config/config';
import { OutboxService } from '../outbox/outbox.service';
import { MembersService } from './members.service';

const DAYS = 7;
const LIVING = 'expires_at > now()';

export interface Invitation {
  id: string;
  email: string;
  role: RoleName;
  expiresAt: Date;
}

/** Links that make whoever opens them a member of a site, once. */
@Injectable()
export class InvitationsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly members: MembersService,
    private readonly outbox: OutboxService,
    private readonly config: Config,
  ) {}

  list(site: string): Promise<Invitation[]> {
    return this.database.query(
      `select id, email, role, expires_at as "expiresAt" from invitations where site_id = $1 and ${LIVING} order by created_at, id`,
      [site],
    );
  }

  /** Makes a link and sends it; it is told here once, and kept as a hash alone. */
  async invite(site: string, by: Caller, email: string, role: RoleName): Promise<{ link: string }> {
    const secret = newSecret();
    const [made]: { name: string }[] = await this.database.query(
      `with made as (
         insert into invitations (token_hash, site_id, role, email, created_by, expires_at)
         values ($1, $2, $3, $4, $5, now() + make_interval(days => $6)) returning site_id)
       select s.name from sites s join made on made.site_id = s.id`,
      [hashOf(secret), site, role, email.toLowerCase(), by.account, DAYS],
    );
    const link = `${this.config.COVE_ORIGIN}/join#${secret}`;
    await this.outbox.send({
      recipient: email,
      subject: `${by.name} invites you to ${made?.name}`,
      body: `Hello,\n\n${by.name} would like you to be a ${role} of ${made?.name}. With this link you join:\n${link}\n\nIt works once, for ${DAYS} days.`,
      site,
    });
    return { link };
  }

  async takeBack(site: string, invitation: string): Promise<void> {
    const [, gone]: [unknown, number] = await this.database.query(
      'delete from invitations where site_id = $1 and id = $2',
      [site, invitation],
    );
    if (gone === 0) throw notFound('invitation');
  }

  /** What a link invites to. */
  async look(secret: string): Promise<{ site: string; name: string; role: RoleName; email: string }> {
    const rows: { site: string; name: string; role: RoleName; email: string }[] = await this.database.query(
      `select s.id as site, s.name, i.role, i.email from invitations i join sites s on s.id = i.site_id
       where i.token_hash = $1 and ${LIVING}`,
      [hashOf(secret)],
    );
    const [found] = rows;
    if (!found) throw spent();
    return found;
  }

  /** Uses a link up. */
  async accept(secret: string, account: string): Promise<{ site: string }> {
    const [rows]: [{ site: string; role: RoleName }[], number] = await this.database.query(
      `delete from invitations where token_hash = $1 and ${LIVING} returning site_id as site, role`,
      [hashOf(secret)],
    );
    const [found] = rows;
    if (!found) throw spent();
    await this.members.add(found.site, account, found.role);
    return { site: found.site };
  }
}

const spent = (): ProblemException =>
  new ProblemException({
    code: 'spent-link',
    message: 'This invitation has been used, taken back, or is too old. Ask for another.',
  });
