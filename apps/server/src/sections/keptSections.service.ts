import { type Clip, copyThings, readClip } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { AccountsService } from '../accounts/accounts.service';
import { pack, unpack } from '../common/packed';
import { notFound, ProblemException } from '../common/problem';
import { SiteCache } from '../sites/siteCache';

export interface KeptSection {
  id: string;
  name: string;
  createdAt: string;
}

/** All of them are drawn when one looks for one, so they have an end. */
const MOST_SECTIONS = 100;

const isUuid = (id: string) => /^[0-9a-f-]{36}$/i.test(id);
const COLUMNS = 'id, name, created_at as "createdAt"';

/** Sections that somebody keeps for other pages and sites; they are theirs and nobody else's. */
@Injectable()
export class KeptSections {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly cache: SiteCache,
    private readonly accounts: AccountsService,
  ) {}

  /** Those of one account, each as it left its site. */
  async list(account: string): Promise<(KeptSection & { clip: Clip })[]> {
    const rows: (KeptSection & { body: Buffer })[] = await this.database.query(
      `select ${COLUMNS}, body from kept_sections where account_id = $1 order by name`,
      [account],
    );
    const read = await Promise.all(
      rows.map(async ({ body, ...row }) => {
        const clip = readClip(JSON.stringify(await unpack(body)));
        return clip ? [{ ...row, clip }] : [];
      }),
    );
    return read.flat();
  }

  async keep(account: string, site: string, section: string, name: string): Promise<KeptSection> {
    const membership = await this.accounts.membershipOf(account, site);
    if (!membership) throw notFound('site');
    if (membership.role !== 'designer')
      throw new ProblemException({ code: 'forbidden', message: `A ${membership.role} may not do this.` });
    const { site: whole } = await this.cache.at(site);
    if (!whole.kinds.section.has(section)) throw notFound('section');
    const [{ count = 0 } = {}]: { count?: number }[] = await this.database.query(
      'select count(*)::int as count from kept_sections where account_id = $1 and name <> $2',
      [account, name],
    );
    if (count >= MOST_SECTIONS)
      throw new ProblemException({
        code: 'too-many',
        message: `One keeps at most ${MOST_SECTIONS} sections. Forget one first.`,
      });
    const [row]: KeptSection[] = await this.database.query(
      `insert into kept_sections (account_id, name, body) values ($1, $2, $3)
       on conflict (account_id, name) do update set body = excluded.body, created_at = now()
       returning ${COLUMNS}`,
      [account, name, await pack(copyThings(whole, [section]))],
    );
    if (!row) throw new Error('a section was not kept');
    return row;
  }

  async forget(account: string, id: string): Promise<void> {
    if (isUuid(id))
      await this.database.query('delete from kept_sections where account_id = $1 and id = $2', [account, id]);
  }
}
