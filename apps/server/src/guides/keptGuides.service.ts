import { type GuideData, type GuideRecord, guideOf, readGuideData } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { SiteCache } from '../sites/siteCache';
import { assetPath, fontPath, keptPath, Storage } from '../storage/storage';

export interface KeptGuide {
  id: string;
  name: string;
  about: string;
  version: number;
  fromSite: string;
  createdAt: string;
}

/** Files that records name, and where a site keeps them. */
const filesOf = (records: readonly GuideRecord[], site: string): { file: string; path: string }[] =>
  records.flatMap(record => {
    if (record.kind === 'font') return [{ file: record.file, path: fontPath(site, record.file) }];
    return record.kind === 'asset' ? [{ file: record.file, path: assetPath(site, record.file) }] : [];
  });

const isUuid = (id: string) => /^[0-9a-f-]{36}$/i.test(id);
const COLUMNS = 'id, name, about, version, from_site as "fromSite", created_at as "createdAt"';

/** Guides that somebody keeps from a site for the next one; they are theirs and nobody else's. */
@Injectable()
export class KeptGuides {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly cache: SiteCache,
    private readonly accounts: AccountsService,
    private readonly storage: Storage,
  ) {}

  list(account: string): Promise<KeptGuide[]> {
    return this.database.query(`select ${COLUMNS} from kept_guides where account_id = $1 order by name`, [
      account,
    ]);
  }

  /** A guide with all its records, as it was kept. */
  async read(account: string, id: string): Promise<GuideData> {
    const rows: { body: Buffer }[] = isUuid(id)
      ? await this.database.query('select body from kept_guides where account_id = $1 and id = $2', [
          account,
          id,
        ])
      : [];
    const [row] = rows;
    if (!row) throw notFound('guide');
    const read = readGuideData(await unpack(row.body));
    if (!read.ok) throw new ProblemException(read.problem);
    return read.value;
  }

  private async mustDesign(account: string, site: string): Promise<void> {
    const membership = await this.accounts.membershipOf(account, site);
    if (!membership) throw notFound('site');
    if (membership.role !== 'designer')
      throw new ProblemException({ code: 'forbidden', message: `A ${membership.role} may not do this.` });
  }

  async keep(account: string, site: string, name: string, about: string): Promise<KeptGuide> {
    await this.mustDesign(account, site);
    const guide = guideOf((await this.cache.at(site)).site, name, about);
    const [row]: KeptGuide[] = await this.database.query(
      `insert into kept_guides (account_id, name, about, from_site, body) values ($1, $2, $3, $4, $5)
       on conflict (account_id, name) do update
         set about = excluded.about, from_site = excluded.from_site, body = excluded.body,
             version = kept_guides.version + 1, created_at = now()
       returning ${COLUMNS}`,
      [account, name, about, site, await pack(guide)],
    );
    if (!row) throw new Error('a guide was not kept');
    // Names are made of what a file holds, so those of an earlier version do no harm.
    for (const { file, path } of filesOf(guide.records, site)) {
      const data = await this.storage.read(path);
      if (data) await this.storage.write(keptPath(row.id, file), data);
    }
    return row;
  }

  /** Lays the fonts and pictures of a guide where a site looks for its own, before it takes the records. */
  async giveFiles(account: string, id: string, site: string): Promise<void> {
    await this.mustDesign(account, site);
    const { records } = await this.read(account, id);
    for (const { file, path } of filesOf(records, site)) {
      const data = await this.storage.read(keptPath(id, file));
      if (data) await this.storage.write(path, data);
    }
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
