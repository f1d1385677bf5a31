import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ProblemException } from '../common/problem';
import { hashOf, newSecret } from '../common/secret';
import { Config } from '../config/config';
import { OutboxService } from '../outbox/outbox.service';
import { AccountsService } from './accounts.service';
import type { Account } from './entities/account.entity';

const HOURS = 2;

/** Links sent by mail with which the owner of an address makes an account or chooses a new password. */
@Injectable()
export class LinksService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly accounts: AccountsService,
    private readonly outbox: OutboxService,
    private readonly config: Config,
  ) {}

  /** Sends a link. What is answered, and how long it takes, says nothing of whether there is an account. */
  async send(email: string, invitation: string | undefined): Promise<void> {
    const recipient = email.toLowerCase();
    const secret = newSecret();
    const known = await this.accounts.byEmail(recipient);
    await this.database.query('delete from account_links where expires_at < now()');
    await this.database.query(
      'insert into account_links (token_hash, email, expires_at) values ($1, $2, now() + make_interval(hours => $3))',
      [hashOf(secret), recipient, HOURS],
    );
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
  async look(secret: string): Promise<{ email: string; known: boolean; name: string }> {
    const rows: { email: string }[] = await this.database.query(
      'select email from account_links where token_hash = $1 and expires_at > now()',
      [hashOf(secret)],
    );
    const email = rows[0]?.email;
    if (!email) throw spent();
    const account = await this.accounts.byEmail(email);
    return { email, known: account !== null, name: account?.name ?? '' };
  }

  /** Uses a link up: makes the account, or gives the one there is its new password and ends its sessions. */
  async use(secret: string, name: string, password: string): Promise<Account> {
    const [rows]: [{ email: string }[], number] = await this.database.query(
      'delete from account_links where token_hash = $1 and expires_at > now() returning email',
      [hashOf(secret)],
    );
    const email = rows[0]?.email;
    if (!email) throw spent();
    const known = await this.accounts.byEmail(email);
    if (!known) return this.accounts.create(email, name, password);
    await this.accounts.setPassword(known.id, password, undefined);
    await this.accounts.rename(known.id, name);
    return { ...known, name };
  }
}

const spent = (): ProblemException =>
  new ProblemException({
    code: 'spent-link',
    message: 'This link has been used, or is too old. Ask for another.',
  });
