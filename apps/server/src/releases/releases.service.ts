import type { PublishedSite } from '@cove/core';
import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import PgBoss from 'pg-boss';
import { DataSource, Repository } from 'typeorm';
import { notFound, ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { FontStore } from '../fonts/fontStore.service';
import { SiteCache } from '../sites/siteCache';
import { assetPath, releaseFolder, Storage } from '../storage/storage';
import { Release } from './entities/release.entity';
import { Renderer } from './renderer.service';

const QUEUE = 'publish';
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
    private readonly cache: SiteCache,
    private readonly renderer: Renderer,
    private readonly storage: Storage,
    private readonly fonts: FontStore,
    config: Config,
  ) {
    this.queue = new PgBoss({ connectionString: config.COVE_DATABASE_URL, schema: 'jobs', max: 2 });
    this.queue.on('error', error => this.logger.warn(error.message));
  }

  async onModuleInit(): Promise<void> {
    await this.queue.start();
    await this.queue.createQueue(QUEUE);
    await this.queue.work<Job>(QUEUE, { pollingIntervalSeconds: 0.5 }, async jobs => {
      for (const { data } of jobs) await this.make(data.release);
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
    const seq = await this.cache.seqOf(site);
    return {
      /** Changes made since the newest finished release. */
      unpublished: seq - (releases.find(it => it.state === 'done')?.seq ?? 0),
      releases: releases.map(({ id, number, seq: at, note, state, done, total, problem, createdAt }) => ({
        id,
        number,
        seq: at,
        note,
        state,
        done,
        total,
        problem,
        createdAt,
        live: id === live,
      })),
    };
  }

  private async liveOf(site: string): Promise<string | null> {
    const rows: { live: string | null }[] = await this.database.query(
      'select live_release as live from sites where id = $1',
      [site],
    );
    return rows[0]?.live ?? null;
  }

  /** Orders a release of the site as it is now. */
  async publish(site: string, account: string, note: string): Promise<{ id: string; number: number }> {
    const seq = await this.cache.seqOf(site);
    const rows: { id: string; number: number }[] = await this.database.query(
      `insert into releases (site_id, number, seq, note, created_by)
       select id, 1 + coalesce((select max(number) from releases where site_id = s.id), 0), $2, $3, $4 from sites s where id = $1
       returning id, number`,
      [site, seq, note, account],
    );
    const [made] = rows;
    if (!made) throw notFound('site');
    await this.queue.send(QUEUE, { release: made.id }, { retryLimit: 2 });
    return made;
  }

  /** Writes one release. Running it again after a crash writes the same files. */
  async make(id: string): Promise<void> {
    const release = await this.releases.findOneBy({ id });
    if (!release || release.state === 'done') return;
    try {
      const { seq, published } = await this.renderer.render(release.siteId);
      const total = published.files.size + published.assets.length + published.fonts.length;
      await this.releases.update(id, { state: 'making', seq, total, done: 0 });
      await this.writeFiles(release, published);
      await this.releases.update(id, { state: 'done', done: total, problem: null });
      await this.database.query('update sites set live_release = $2 where id = $1', [release.siteId, id]);
    } catch (error) {
      this.logger.error(error instanceof Error ? error.stack : String(error));
      await this.releases.update(id, {
        state: 'failed',
        problem: 'The release could not be written. What visitors see has not changed; publish again.',
      });
    }
  }

  private async writeFiles({ id, siteId }: Release, { files, assets, fonts }: PublishedSite): Promise<void> {
    const folder = releaseFolder(siteId, id);
    let done = 0;
    let told = Date.now();
    const step = async () => {
      done++;
      if (Date.now() - told < 150) return;
      told = Date.now();
      await this.releases.update(id, { done });
    };
    for (const [path, text] of files) {
      await this.storage.write(`${folder}/${path}`, text);
      await step();
    }
    for (const asset of assets) {
      await this.storage.copy(assetPath(siteId, asset.file), `${folder}/assets/${asset.file}`);
      await step();
    }
    for (const file of fonts) {
      const data = await this.fonts.read(siteId, file);
      if (data) await this.storage.write(`${folder}/fonts/${file}`, data);
      await step();
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
    await this.database.query('update sites set live_release = $2 where id = $1', [site, release]);
  }
}
