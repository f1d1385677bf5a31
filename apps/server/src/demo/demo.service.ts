import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { Config } from '../config/config';
import { SiteEntity } from '../database/entities';
import { NewSites } from '../newSites/newSites.service';
import { ReleasesService } from '../releases/releases.service';

export const DEMO = {
  email: 'demo@tolvane.example',
  password: 'ferries-at-dawn',
  name: 'Demo designer',
  site: 'tolvane',
  large: 'tolvane-large',
} as const;

/** Lays the invented ferry line beside what is there. The account exists only together with it. */
@Injectable()
export class DemoService {
  private readonly laid: { site: string; account: string }[] = [];

  constructor(
    private readonly accounts: AccountsService,
    private readonly sites: NewSites,
    private readonly releases: ReleasesService,
    private readonly config: Config,
    @InjectRepository(SiteEntity) private readonly existing: Repository<SiteEntity>,
  ) {}

  async createIfMissing(): Promise<void> {
    await this.createOne(DEMO.site, 'Tolvane Ferries', 'small');
  }

  /** The large one beside it, for measuring. */
  async createLargeIfMissing(): Promise<void> {
    await this.createOne(DEMO.large, 'Tolvane Ferries, large', 'large');
  }

  private async createOne(id: string, name: string, demo: 'small' | 'large'): Promise<void> {
    if (await this.existing.existsBy({ id })) return;
    const account =
      (await this.accounts.byEmail(DEMO.email)) ??
      (await this.accounts.create(DEMO.email, DEMO.name, DEMO.password));
    await this.sites.make(id, name, account.id, { demo });
    this.laid.push({ site: id, account: account.id });
  }

  /** Publishes what was laid just now, where that is wanted; once the queue of releases runs. */
  async publishLaid(): Promise<void> {
    if (this.config.COVE_DEMO_LIVE === 'off') return;
    for (const { site, account } of this.laid)
      await this.releases.publish(site, account, 'As it was laid', true);
  }
}
