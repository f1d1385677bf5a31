import type { GuideData } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import type { JsonOf } from '../api/json';
import { isUuid } from '../common/isUuid';
import { Snapshot } from '../database/entities';
import { Workshop } from '../work/workshop.service';
import type { KeptSnapshotDto, RestoredDto, SnapshotSummaryDto } from './dto/snapshotSummary.dto';

/** Whole sites as they were at a moment, to go back to. */
@Injectable()
export class SnapshotsService {
  constructor(
    @InjectRepository(Snapshot) private readonly snapshots: Repository<Snapshot>,
    private readonly workshop: Workshop,
  ) {}

  async list(site: string): Promise<SnapshotSummaryDto[]> {
    const found = await this.snapshots.find({
      where: { siteId: site },
      relations: { by: true },
      order: { createdAt: 'DESC', id: 'ASC' },
      take: 200,
    });
    return found.map(({ id, seq, note, by, createdAt }) => ({
      id,
      seq,
      note,
      by: by?.name ?? null,
      createdAt,
    }));
  }

  keep(site: string, account: string, note: string): Promise<KeptSnapshotDto> {
    return this.workshop.run('keepSnapshot', { site, account, note });
  }

  /** The guide of a snapshot, as JSON. */
  guide(site: string, snapshot: string): Promise<JsonOf<GuideData>> {
    return this.workshop.run('guideOfSnapshot', { site, snapshot });
  }

  restore(site: string, account: string, snapshot: string, part: 'all' | 'guide'): Promise<RestoredDto> {
    return this.workshop.run('restoreSnapshot', { site, account, snapshot, part });
  }

  async forget(site: string, id: string): Promise<void> {
    if (isUuid(id)) await this.snapshots.delete({ siteId: site, id });
  }
}
