import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { notFound } from '../common/problem';
import { Config } from '../config/config';
import { Member, SiteEntity } from '../database/entities';
import type { SiteSummaryDto } from './dto/siteSummary.dto';

/** What is known of sites beside their records. */
@Injectable()
export class SitesService {
  constructor(
    @InjectRepository(Member) private readonly members: Repository<Member>,
    @InjectRepository(SiteEntity) private readonly sites: Repository<SiteEntity>,
    private readonly config: Config,
  ) {}

  /** The sites of one account, the oldest first. */
  async of(account: string): Promise<SiteSummaryDto[]> {
    const found = await this.members.find({
      where: { accountId: account },
      relations: { site: true },
      order: { site: { createdAt: 'ASC', id: 'ASC' } },
    });
    return found.map(({ role, site: { id, name, slug, keeperMay } }) => ({
      id,
      name,
      role,
      keeperMay,
      address: `${this.config.COVE_SITES_ORIGIN}/${slug}/`,
    }));
  }

  /** Number of the last change of a site, and of the last that nobody can replay. */
  async numbersOf(site: string): Promise<Pick<SiteEntity, 'seq' | 'resetAt'>> {
    const found = await this.sites.findOne({ select: { seq: true, resetAt: true }, where: { id: site } });
    if (!found) throw notFound('site');
    return found;
  }
}
