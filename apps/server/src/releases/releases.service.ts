import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import PgBoss, { type JobWithMetadata } from 'pg-boss';
import { type EntityManager, Repository } from 'typeorm';
import { notFound, ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { Release, SiteEntity } from '../database/entities';
import { Workshop } from '../work/workshop.service';
import type { OrderedReleaseDto, ReleasesDto } from './dto/release.dto';

const QUEUE = 'publish';
/** How often a release that could not be written is tried again. */
const RETRIES = 2;

interface Job {
  release: string;
}

/** Makes releases in the background. A release never alters once it is made; which one is live is a pointer. */
@Injectable()
export class ReleasesService implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('Releases');
  private readonly queue: PgBoss;

  constructor(
    @InjectRepository(Release) private readonly releases: Repository<Release>,
    @InjectRepository(SiteEntity) private readonly sites: Repository<SiteEntity>,
    private readonly workshop: Workshop,
    config: Config,
  ) {
    this.queue = new PgBoss({ connectionString: config.COVE_DATABASE_URL, schema: 'jobs', max: 2 });
    this.queue.on('error', error => this.logger.warn(error.message));
  }

  async onModuleInit(): Promise<void> {
    await this.queue.start();
    await this.queue.createQueue(QUEUE);
    await this.queue.work<Job>(QUEUE, { pollingIntervalSeconds: 0.5, includeMetadata: true }, async jobs => {
      for (const job of jobs) await this.make(job);
    });
  }

  async onModuleDestroy(): Promise<void> {
    await this.queue.stop({ graceful: true, wait: true, timeout: 10_000 });
  }

  async list(site: string): Promise<ReleasesDto> {
    const releases = await this.releases.find({
      where: { siteId: site },
      order: { number: 'DESC' },
      take: 200,
    });
    // After them, so that one which is done and came to be seen together is told as both.
    const current = await this.sites.findOneBy({ id: site });
    if (!current) throw notFound('site');
    return {
      releases: releases.map(
        ({ id, number, seq, note, state, done, total, problem, problems, createdAt }) => ({
          id,
          number,
          seq,
          note,
          state,
          done,
          total,
          problem,
          problems,
          createdAt,
          live: id === current.liveRelease,
        }),
      ),
    };
  }

  /** Orders a release of the site as it is now. */
  async publish(site: string, account: string, note: string, leaveOut: boolean): Promise<OrderedReleaseDto> {
    const made = await this.releases.manager.transaction(async manager => {
      const locked = await lock(manager, site);
      const number = 1 + ((await manager.maximum(Release, 'number', { siteId: site })) ?? 0);
      const order = { siteId: site, number, seq: locked.seq, note, createdBy: account, leaveOut };
      const { id } = await manager.save(Release, order);
      return { id, number };
    });
    await this.queue.send(QUEUE, { release: made.id }, { retryLimit: RETRIES, retryDelay: 1 });
    return made;
  }

  /**
   * Has one release written. Where that fails the queue tries again, and only the last time is it given up; what cannot be
   * rendered does not get better by itself, and is not tried again.
   */
  private async make({ data: { release: id }, retryCount, retryLimit }: JobWithMetadata<Job>): Promise<void> {
    try {
      await this.workshop.run('publish', { release: id });
    } catch (error) {
      this.logger.error(error instanceof Error ? error.stack : String(error));
      const last = retryCount >= retryLimit;
      await this.releases.update(id, {
        state: last ? 'failed' : 'waiting',
        problem: last
          ? 'The release could not be written. What visitors see has not changed; publish again.'
          : 'Writing the release failed. It is tried again.',
      });
      throw error;
    }
  }

  /** Shows visitors another finished release. */
  async goLive(site: string, release: string): Promise<void> {
    const found = await this.releases.findOneBy({ id: release, siteId: site });
    if (!found) throw notFound('release');
    if (found.state !== 'done')
      throw new ProblemException({
        code: 'busy',
        message: 'This release is not finished.',
        found: found.state,
        expected: 'done',
      });
    await this.sites.manager.transaction(async manager => {
      const { liveAfter } = await lock(manager, site);
      const newest = (await manager.maximum(Release, 'number', { siteId: site })) ?? 0;
      await manager.update(SiteEntity, site, {
        liveRelease: release,
        liveAfter: Math.max(liveAfter, newest),
      });
    });
  }
}

/** A site whose row is held: numbers of releases are given one after the other, also to those who ask in the same moment. */
async function lock(manager: EntityManager, site: string): Promise<SiteEntity> {
  const locked = await manager.findOne(SiteEntity, {
    where: { id: site },
    lock: { mode: 'pessimistic_write' },
  });
  if (!locked) throw notFound('site');
  return locked;
}
