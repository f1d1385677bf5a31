import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { notFound } from '../common/problem';
import { SiteEntity } from '../database/entities';

/** What is known of sites beside their records. */
@Injectable()
export class SitesService {
  constructor(@InjectRepository(SiteEntity) private readonly sites: Repository<SiteEntity>) {}

  /** Number of the last change of a site, and of the last that nobody can replay. */
  async numbersOf(site: string): Promise<Pick<SiteEntity, 'seq' | 'resetAt'>> {
    const found = await this.sites.findOne({ select: { seq: true, resetAt: true }, where: { id: site } });
    if (!found) throw notFound('site');
    return found;
  }
}
