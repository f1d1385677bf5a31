import type { KeeperMay, RoleName } from '@cove/core';
import { newId } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../common/database';
import { notFound, ProblemException } from '../common/problem';
import { Config } from '../config/config';
import { MEMBERS_CHANNEL } from '../database/channels';
import { NewSites } from '../newSites/newSites.service';
import { acceptChange } from '../sites/acceptChange';
import { Storage, siteFolders } from '../storage/storage';
import { StoredFiles } from '../storage/storedFiles';
import type { SiteSummaryDto } from './dto/siteSummary.dto';

interface Row {
  id: string;
  name: string;
  slug: string;
  role: RoleName;
  keeperMay: KeeperMay;
  seq: number;
  home: string | null;
  archived: boolean;
  changedAt: Date | null;
  changedBy: string | null;
  own: boolean;
  number: number | null;
  since: number | null;
}

/** Each site with its last change and the release that visitors see; the one changed last comes first. */
const LIST = `
  select s.id, s.name, s.slug, m.role, s.keeper_may as "keeperMay", s.seq, s.archived_at is not null as archived,
    (select body->>'home' from records where site_id = s.id and kind = 'settings') as home,
    c.accepted_at as "changedAt", a.name as "changedBy", coalesce(c.account_id = m.account_id, false) as own,
    r.number, s.seq - r.seq as since
  from members m join sites s on s.id = m.site_id
    left join changes c on c.site_id = s.id and c.seq = s.seq
    left join accounts a on a.id = c.account_id
    left join releases r on r.id = s.live_release
  where m.account_id = $1
  order by coalesce(c.accepted_at, s.created_at) desc, s.id`;

/** The sites of a person, and what is done with a site as a whole. */
@Injectable()
export class SiteListService {
  constructor(
    private readonly database: Database,
    private readonly files: StoredFiles,
    private readonly storage: Storage,
    private readonly newSites: NewSites,
    private readonly config: Config,
  ) {}

  async of(account: string): Promise<SiteSummaryDto[]> {
    const rows = await this.database.query<Row>(LIST, [account]);
    return rows.map(({ slug, changedAt, changedBy, own, number, since, ...site }) => ({
      ...site,
      address: `${this.config.COVE_SITES_ORIGIN}/${slug}/`,
      changed: changedAt && { at: changedAt, by: changedBy, own },
      live: number === null ? null : { number, changesSince: since ?? 0 },
    }));
  }

  /** Renames a site by a change like any other, so that whoever has it open sees it and may take it back. */
  async rename(site: string, account: string, name: string): Promise<void> {
    const accepted = await this.database.transaction(async query => {
      const [settings] = await query<{ id: string }>(
        "select id from records where site_id = $1 and kind = 'settings'",
        [site],
      );
      if (!settings) throw notFound('site');
      const [{ seq } = { seq: 0 }] = await query<{ seq: number }>('select seq from sites where id = $1', [
        site,
      ]);
      const edits = [{ op: 'set', id: settings.id, path: ['name'], value: name } as const];
      return acceptChange(query, this.files, { site, account, id: newId('c'), base: seq, edits });
    });
    if (!accepted.ok) throw new ProblemException(accepted.problem);
  }

  /** Lays a site aside, or takes it up again; its draft and what visitors see stay as they are. */
  async setArchived(site: string, archived: boolean): Promise<void> {
    await this.database.query('update sites set archived_at = case when $2 then now() end where id = $1', [
      site,
      archived,
    ]);
  }

  copy(site: string, account: string, name: string): Promise<{ id: string }> {
    return this.newSites.begin(account, name, { copyOf: site });
  }

  /** Deletes a site with its files, its releases and what visitors see; there is no way back. */
  async remove(site: string, name: string): Promise<void> {
    await this.database.transaction(async query => {
      const [found] = await query<{ name: string }>('select name from sites where id = $1 for update', [
        site,
      ]);
      if (!found) throw notFound('site');
      if (found.name.trim() !== name.trim())
        throw new ProblemException({
          code: 'wrong-name',
          message: 'That is not the name of this site, so nothing was deleted.',
          found: name,
          expected: found.name,
        });
      await query('delete from sites where id = $1', [site]);
      await query('select pg_notify($1, $2)', [MEMBERS_CHANNEL, site]);
    });
    for (const folder of siteFolders(site)) await this.storage.removeFolder(folder);
  }
}
