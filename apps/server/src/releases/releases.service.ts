import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import PgBoss, { type JobWithMetadata } from 'pg-boss';
import { DataSource, Repository } from 'typeorm';
import { inTransaction } from '../common/inTransaction';
import { notFound, ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { Workshop } from '../work/workshop.service';
import { Release } from './entities/release.entity';

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
    @InjectDataSource() private readonly database: DataSource,
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

  async list(site: string) {
    const [releases, live] = await Promise.all([
      this.releases.find({ where: { siteId: site }, order: { number: 'DESC' }, take: 200 }),
      this.liveOf(site),
    ]);
    const seq = await this.seqOf(site);
    return {
      /** Changes made since the newest finished release. */
      unpublished: seq - (releases.find(it => it.state === 'done')?.seq ?? 0),
      releases: releases.map(
        ({ id, number, seq: at, note, state, done, total, problem, problems, createdAt }) => ({
          id,
          number,
          seq: at,
          note,
          state,
          done,
          total,
          problem,
          problems,
          createdAt,
          live: id === live,
        }),
      ),
    };
  }

  private async seqOf(site: string): Promise<number> {
    const rows: { seq: number }[] = await this.database.query('select seq from sites where id = $1', [site]);
    const [row] = rows;
    if (!row) throw notFound('site');
    return row.seq;
  }

  private async liveOf(site: string): Promise<string | null> {
    const rows: { live: string | null }[] = await this.database.query(
      'select live_release as live from sites where id = $1',
      [site],
    );
    return rows[0]?.live ?? null;
  }

  /** Orders a release of the site as it is now. */
  async publish(
    site: string,
    account: string,
    note: string,
    leaveOut: boolean,
  ): Promise<{ id: string; number: number }> {
    const made = await inTransaction(this.database, async runner => {
      // Numbers are given one after the other, also to those who ask in the same moment.
      const [locked]: { seq: number }[] = await runner.query(
        'select seq from sites where id = $1 for update',
        [site],
      );
      if (!locked) throw notFound('site');
      const [row]: { id: string; number: number }[] = await runner.query(
        `insert into releases (site_id, number, seq, note, created_by, leave_out)
         select $1, 1 + coalesce(max(number), 0), $2, $3, $4, $5 from releases where site_id = $1
         returning id, number`,
        [site, locked.seq, note, account, leaveOut],
      );
      if (!row) throw new Error('a release was not noted');
      return row;
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
    // Releases that were asked for before this was chosen no longer come to be seen when they are ready.
    await this.database.query(
      `update sites set live_release = $2,
         live_after = greatest(live_after, (select max(number) from releases where site_id = $1)) where id = $1`,
      [site, release],
    );
  }
}
