import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { isUuid } from '../common/isUuid';
import { keptPath, Storage } from '../storage/storage';
import { Workshop } from '../work/workshop.service';
import { COLUMNS, type KeptGuide } from './keptGuide';

/** Guides that somebody keeps from a site for the next one; they are theirs and nobody else's. */
@Injectable()
export class KeptGuides {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly accounts: AccountsService,
    private readonly storage: Storage,
    private readonly workshop: Workshop,
  ) {}

  list(account: string): Promise<KeptGuide[]> {
    return this.database.query(`select ${COLUMNS} from kept_guides where account_id = $1 order by name`, [
      account,
    ]);
  }

  /** A guide with all its records as it was kept, as JSON. */
  read(account: string, guide: string): Promise<string> {
    return this.workshop.run('readKeptGuide', { account, guide });
  }

  async keep(account: string, site: string, name: string, about: string): Promise<KeptGuide> {
    await this.accounts.mustDesign(account, site);
    return this.workshop.run('keepGuide', { account, site, name, about });
  }

  /** Lays the fonts and pictures of a guide where a site looks for its own, before it takes the records. */
  async giveFiles(account: string, guide: string, site: string): Promise<void> {
    await this.accounts.mustDesign(account, site);
    return this.workshop.run('giveGuideFiles', { account, guide, site });
  }

  async forget(account: string, id: string): Promise<void> {
    if (!isUuid(id)) return;
    const [, gone]: [unknown, number] = await this.database.query(
      'delete from kept_guides where account_id = $1 and id = $2',
      [account, id],
    );
    if (gone > 0) await this.storage.removeFolder(keptPath(id, ''));
  }
}
