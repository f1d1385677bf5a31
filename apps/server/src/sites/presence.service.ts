import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { PresenceDto } from './dto/presence.dto';

export const PRESENCE_CHANNEL = 'site_presence';

/** Seconds after which somebody who has not been heard of is gone. */
const GONE_AFTER = 60;

type Place = Omit<PresenceDto, 'client'>;

/** Somebody at a site, and where; `place` is null for one who has left. */
export interface Presence {
  client: string;
  name: string;
  account: string;
  place: Place | null;
}

/** Who is at a site just now. Kept in the database, so that people meet whichever process serves them. */
@Injectable()
export class PresenceService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async here(site: string, account: string, name: string, { client, ...place }: PresenceDto): Promise<void> {
    const told: Presence = { client, name, account, place };
    // A tab's name belongs to the account that took it first.
    await this.database.query(
      `with noted as (
         insert into presence (site_id, client, account_id, place) values ($1, $2, $3, $4)
         on conflict (site_id, client) do update set place = excluded.place, seen_at = now()
           where presence.account_id = excluded.account_id
         returning 1)
       select pg_notify($5, $6) from noted`,
      [site, client, account, place, PRESENCE_CHANNEL, JSON.stringify({ site, told })],
    );
  }

  async leave(site: string, account: string, name: string, client: string): Promise<void> {
    const told: Presence = { client, name, account, place: null };
    await this.database.query(
      `with gone as (delete from presence where site_id = $1 and client = $2 and account_id = $3 returning 1)
       select pg_notify($4, $5) from gone`,
      [site, client, account, PRESENCE_CHANNEL, JSON.stringify({ site, told })],
    );
  }

  async at(site: string): Promise<Presence[]> {
    await this.database.query(
      'delete from presence where site_id = $1 and seen_at < now() - make_interval(secs => $2)',
      [site, GONE_AFTER],
    );
    return this.database.query(
      `select p.client, a.name, a.id as account, p.place from presence p join accounts a on a.id = p.account_id
       where p.site_id = $1 order by p.seen_at`,
      [site],
    );
  }
}
