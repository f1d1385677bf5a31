import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, MoreThan, Repository } from 'typeorm';
import { ProblemException } from '../common/problem';
import { hashOf, newSecret } from '../common/secret';
import { Config } from '../config/config';
import { type Account, AccountLink } from '../database/entities';
import { OutboxService } from '../outbox/outbox.service';
import { AccountsService } from './accounts.service';
import type { LinkOwnerDto } from './dto/linkOwner.dto';

const HOURS = 2;
const HOUR = 60 * 60 * 1000;

const living = (secret: string) => ({ tokenHash: hashOf(secret), expiresAt: MoreThan(new Date()) });

/** Links sent by mail with which the owner of an address makes an account or chooses a new password. */
@Injectable()
export class LinksService {
  constructor(
    @InjectRepository(AccountLink) private readonly links: Repository<AccountLink>,
    private readonly accounts: AccountsService,
    private readonly outbox: OutboxService,
    private readonly config: Config,
  ) {}

  /** Sends a link. What is answered, and how long it takes, says nothing of whether there is an account. */
  async send(email: string, invitation: string | undefined): Promise<void> {
    const recipient = email.toLowerCase();
    const secret = newSecret();
    const known = await this.accounts.byEmail(recipient);
    await this.links.delete({ expiresAt: LessThan(new Date()) });
    await this.links.insert({
      tokenHash: hashOf(secret),
      email: recipient,
      expiresAt: new Date(Date.now() + HOURS * HOUR),
    });
    const way = `${this.config.COVE_ORIGIN}/account/link#${secret}${invitation ? `&${invitation}` : ''}`;
    await this.outbox.send({
      recipient,
      subject: known ? 'A new password for Cove Thread' : 'Your account at Cove Thread',
      body: known
        ? `Hello ${known.name},\n\nwith this link you choose a new password:\n${way}\n\nIt works once, for ${HOURS} hours. If you did not ask for it, leave it be; nothing has changed.`
        : `Hello,\n\nwith this link you make your account:\n${way}\n\nIt works once, for ${HOURS} hours. If you did not ask for it, leave it be; no account is made.`,
    });
  }

  /** Whose link it is, and whether there is an account already. */
  async look(secret: string): Promise<LinkOwnerDto> {
    const link = await this.links.findOneBy(living(secret));
    if (!link) throw spent();
    const { email } = link;
    const account = await this.accounts.byEmail(email);
    return { email, known: account !== null, name: account?.name ?? '' };
  }

  /** Uses a link up: makes the account, or gives the one there is its new password and ends its sessions. */
  async use(secret: string, name: string, password: string): Promise<Account> {
    const email = await this.spend(secret);
    const known = await this.accounts.byEmail(email);
    if (!known) return this.accounts.create(email, name, password);
    await this.accounts.setPassword(known.id, password, undefined);
    await this.accounts.rename(known.id, name);
    return { ...known, name };
  }

  /** Uses a link up, whoever else tries the same in this moment; answers the address it was sent to. */
  private spend(secret: string): Promise<string> {
    return this.links.manager.transaction(async manager => {
      const link = await manager.findOne(AccountLink, {
        where: living(secret),
        lock: { mode: 'pessimistic_write' },
      });
      if (!link) throw spent();
      await manager.remove(link);
      return link.email;
    });
  }
}

const spent = (): ProblemException =>
  new ProblemException({
    code: 'spent-link',
    message: 'This link has been used, or is too old. Ask for another.',
  });
