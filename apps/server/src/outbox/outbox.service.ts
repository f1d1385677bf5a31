import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

export interface Letter {
  /** Address, in lower case. */
  recipient: string;
  subject: string;
  body: string;
  /** The site in whose name it is sent. */
  site?: string;
}

export interface SentLetter {
  id: number;
  recipient: string;
  subject: string;
  body: string;
  sentAt: Date;
}

const COLUMNS = 'o.id, o.recipient, o.subject, o.body, o.created_at as "sentAt"';
const KEPT_DAYS = 30;

/** Stands in for outgoing mail: letters are kept and can be read here, and never leave the machine. */
@Injectable()
export class OutboxService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async send({ recipient, subject, body, site }: Letter): Promise<void> {
    await this.database.query('delete from outbox where created_at < now() - make_interval(days => $1)', [
      KEPT_DAYS,
    ]);
    await this.database.query(
      'insert into outbox (recipient, subject, body, site_id) values ($1, $2, $3, $4)',
      [recipient.toLowerCase(), subject, body, site ?? null],
    );
  }

  /** Letters to an address, and those sent for sites where this account is a designer. */
  readableBy(account: string, email: string): Promise<SentLetter[]> {
    return this.database.query(
      `select ${COLUMNS} from outbox o where o.recipient = $2
         or o.site_id in (select site_id from members where account_id = $1 and role = 'designer')
       order by o.id desc limit 200`,
      [account, email],
    );
  }

  all(): Promise<SentLetter[]> {
    return this.database.query(`select ${COLUMNS} from outbox o order by o.id desc limit 200`);
  }
}
