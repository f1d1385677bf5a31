import type { GuideData } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import type { JsonOf } from '../api/json';
import { isUuid } from '../common/isUuid';
import { KeptGuide } from '../database/entities';
import { keptPath, Storage } from '../storage/storage';
import { Workshop } from '../work/workshop.service';
import type { KeptGuideDto } from './dto/keptGuideSummary.dto';

/** Guides that somebody keeps from a site for the next one; they are theirs and nobody else's. */
@Injectable()
export class KeptGuides {
  constructor(
    @InjectRepository(KeptGuide) private readonly guides: Repository<KeptGuide>,
    private readonly accounts: AccountsService,
    private readonly storage: Storage,
    private readonly workshop: Workshop,
  ) {}

  list(account: string): Promise<KeptGuideDto[]> {
    return this.guides.find({ where: { accountId: account }, order: { name: 'ASC' } });
  }

  /** A guide with all its records as it was kept, as JSON. */
  read(account: string, guide: string): Promise<JsonOf<GuideData>> {
    return this.workshop.run('readKeptGuide', { account, guide });
  }

  async keep(account: string, site: string, name: string, about: string): Promise<KeptGuideDto> {
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
    const { affected } = await this.guides.delete({ accountId: account, id });
    if (affected) await this.storage.removeFolder(keptPath(id, ''));
  }
}
