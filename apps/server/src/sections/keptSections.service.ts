import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { isUuid } from '../common/isUuid';
import { Workshop } from '../work/workshop.service';
import type { KeptSection } from './keptSection';

/** Sections that somebody keeps for other pages and sites; they are theirs and nobody else's. */
@Injectable()
export class KeptSections {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly accounts: AccountsService,
    private readonly workshop: Workshop,
  ) {}

  /** Those of one account, each as it left its site, as JSON. */
  list(account: string): Promise<string> {
    return this.workshop.run('listKeptSections', { account });
  }

  async keep(account: string, site: string, section: string, name: string): Promise<KeptSection> {
    await this.accounts.mustDesign(account, site);
    return this.workshop.run('keepSection', { account, site, section, name });
  }

  async forget(account: string, id: string): Promise<void> {
    if (isUuid(id))
      await this.database.query('delete from kept_sections where account_id = $1 and id = $2', [account, id]);
  }
}
