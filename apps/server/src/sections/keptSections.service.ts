import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import type { JsonOf } from '../api/json';
import { isUuid } from '../common/isUuid';
import { KeptSection } from '../database/entities';
import { Workshop } from '../work/workshop.service';
import type { KeptSectionDto, WholeKeptSectionDto } from './dto/keptSectionSummary.dto';

/** Sections that somebody keeps for other pages and sites; they are theirs and nobody else's. */
@Injectable()
export class KeptSections {
  constructor(
    @InjectRepository(KeptSection) private readonly sections: Repository<KeptSection>,
    private readonly accounts: AccountsService,
    private readonly workshop: Workshop,
  ) {}

  /** Those of one account, each as it left its site, as JSON. */
  list(account: string): Promise<JsonOf<readonly WholeKeptSectionDto[]>> {
    return this.workshop.run('listKeptSections', { account });
  }

  async keep(account: string, site: string, section: string, name: string): Promise<KeptSectionDto> {
    await this.accounts.mustDesign(account, site);
    return this.workshop.run('keepSection', { account, site, section, name });
  }

  async forget(account: string, id: string): Promise<void> {
    if (isUuid(id)) await this.sections.delete({ accountId: account, id });
  }
}
