import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { hash, verify } from '@node-rs/argon2';
import { parseCookie } from 'cookie';
import type { Response } from 'express';
import { LessThan, Repository } from 'typeorm';
import type { Caller, Membership } from '../common/access';
import { Config } from '../config/config';
import { Member } from '../sites/entities/member.entity';
import { Account } from './entities/account.entity';
import { Session } from './entities/session.entity';

const DAYS = 24 * 60 * 60 * 1000;
const SESSION_AGE = 14 * DAYS;
const hashOf = (token: string) => createHash('sha256').update(token).digest();

@Injectable()
export class AccountsService {
  /** Checked where no account has the address, so that both answers take as long. */
  private readonly noOne = hash(randomBytes(16).toString('hex'));

  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    @InjectRepository(Member) private readonly members: Repository<Member>,
    private readonly config: Config,
  ) {}

  async create(email: string, name: string, password: string): Promise<Account> {
    return this.accounts.save(
      this.accounts.create({ email: email.toLowerCase(), name, passwordHash: await hash(password) }),
    );
  }

  byEmail(email: string): Promise<Account | null> {
    return this.accounts.findOneBy({ email: email.toLowerCase() });
  }

  /** The account, or null where address or password is wrong. */
  async check(email: string, password: string): Promise<Account | null> {
    const account = await this.byEmail(email);
    const right = await verify(account?.passwordHash ?? (await this.noOne), password);
    return account && right ? account : null;
  }

  get cookieName(): string {
    return this.secure ? '__Host-cove-session' : 'cove-session';
  }

  get secure(): boolean {
    return this.config.COVE_ORIGIN.startsWith('https:');
  }

  /** Signs an account in: a new session, its cookie on the answer, and who it is. */
  async admit(account: Account, response: Response): Promise<{ email: string; name: string }> {
    const { token, maxAge } = await this.openSession(account.id);
    response.cookie(this.cookieName, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: this.secure,
      path: '/',
      maxAge,
    });
    return { email: account.email, name: account.name };
  }

  private async openSession(account: string): Promise<{ token: string; maxAge: number }> {
    const token = randomBytes(32).toString('base64url');
    await this.sessions.delete({ expiresAt: LessThan(new Date()) });
    await this.sessions.insert({
      tokenHash: hashOf(token),
      accountId: account,
      expiresAt: new Date(Date.now() + SESSION_AGE),
    });
    return { token, maxAge: SESSION_AGE };
  }

  async closeSession(cookies: string | undefined): Promise<void> {
    const token = this.tokenIn(cookies);
    if (token) await this.sessions.delete({ tokenHash: hashOf(token) });
  }

  private tokenIn(cookies: string | undefined): string | null {
    return (cookies && parseCookie(cookies)[this.cookieName]) || null;
  }

  async callerOf(cookies: string | undefined): Promise<Caller | null> {
    const token = this.tokenIn(cookies);
    if (!token) return null;
    const rows: Caller[] = await this.sessions.query(
      'select a.id as account, a.email, a.name from sessions s join accounts a on a.id = s.account_id where s.token_hash = $1 and s.expires_at > now()',
      [hashOf(token)],
    );
    return rows[0] ?? null;
  }

  async membershipOf(account: string, site: string): Promise<Membership | null> {
    const rows: Membership[] = await this.members.query(
      'select m.site_id as site, m.role, s.keeper_may as "keeperMay" from members m join sites s on s.id = m.site_id where m.account_id = $1 and m.site_id = $2',
      [account, site],
    );
    return rows[0] ?? null;
  }
}
