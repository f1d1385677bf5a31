import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, Repository } from 'typeorm';
import { PRESENCE_CHANNEL } from '../database/channels';
import { Presence } from '../database/entities';
import { notify } from '../database/notify';
import type { HereDto, PresenceDto } from './dto/presence.dto';

/** Milliseconds after which somebody who has not been heard of is gone. */
const GONE_AFTER = 60_000;

/** Who is at a site just now. Kept in the database, so that people meet whichever process serves them. */
@Injectable()
export class PresenceService {
  constructor(@InjectRepository(Presence) private readonly presences: Repository<Presence>) {}

  /** A tab’s name belongs to the account that took it first. */
  async here(site: string, account: string, name: string, { client, ...place }: HereDto): Promise<void> {
    const tab = { siteId: site, client, accountId: account };
    const now = { place, seenAt: new Date() };
    const { affected } = await this.presences.update(tab, now);
    if (!affected) {
      await this.presences
        .createQueryBuilder()
        .insert()
        .values({ ...tab, ...now })
        .orIgnore()
        .execute();
      if (!(await this.presences.existsBy(tab))) return;
    }
    await this.announce(site, { client, name, account, place });
  }

  async leave(site: string, account: string, name: string, client: string): Promise<void> {
    const { affected } = await this.presences.delete({ siteId: site, client, accountId: account });
    if (affected) await this.announce(site, { client, name, account, place: null });
  }

  async at(site: string): Promise<PresenceDto[]> {
    await this.presences.delete({ siteId: site, seenAt: LessThan(new Date(Date.now() - GONE_AFTER)) });
    const found = await this.presences.find({
      where: { siteId: site },
      relations: { account: true },
      order: { seenAt: 'ASC' },
    });
    return found.map(({ client, place, account: { id, name } }) => ({ client, name, account: id, place }));
  }

  private announce(site: string, announced: PresenceDto): Promise<void> {
    return notify(this.presences.manager, PRESENCE_CHANNEL, JSON.stringify({ site, announced }));
  }
}
