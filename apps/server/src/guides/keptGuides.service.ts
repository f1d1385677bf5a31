import { guideOf } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { SiteCache } from '../sites/siteCache';

export interface KeptGuide {
  id: string;
  name: string;
  about: string;
  version: number;
  fromSite: string;
  createdAt: string;
}

const isUuid = (id: string) => /^[0-9a-f-]{36}$/i.test(id);
const COLUMNS = 'id, name, about, version, from_site as "fromSite", created_at as "createdAt"';

/** Guides that somebody keeps from a site for the next one; they are theirs and nobody else's. */
@Injectable()
export class KeptGuides {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly cache: SiteCache,
    private readonly accounts: AccountsService,
  ) {}

  list(account: string): Promise<KeptGuide[]> {
    return this.database.query(`select ${COLUMNS} from kept_guides where account_id = $1 order by name`, [
      account,
    ]);
  }

  /** A guide with all its records, as `GuideData`. */
  async read(account: string, id: string): Promise<unknown> {
    const rows: { body: Buffer }[] = isUuid(id)
      ? await this.database.query('select body from kept_guides where account_id = $1 and id = $2', [
          account,
          id,
        ])
      : [];
    const [row] = rows;
    if (!row) throw notFound('guide');
    return unpack(row.body);
  }

  async keep(account: string, site: string, name: string, about: string): Promise<KeptGuide> {
    const membership = await this.accounts.membershipOf(account, site);
    if (!membership) throw notFound('site');
    if (membership.role !== 'designer')
      throw new ProblemException({ code: 'forbidden', message: `A ${membership.role} may not do this.` });
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
    return row;
  }

  async forget(account: string, id: string): Promise<void> {
    if (isUuid(id))
      await this.database.query('delete from kept_guides where account_id = $1 and id = $2', [account, id]);
  }
}
