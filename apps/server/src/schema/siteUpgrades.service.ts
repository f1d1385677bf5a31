import { SCHEMA } from '@cove/core';
import { Injectable, Logger } from '@nestjs/common';
import { Database } from '../common/database';
import { isDatabaseAway } from '../common/databaseAway';
import { type Upgraded, upgradeSite } from './upgradeSite';

/** Brings every site to the schema of this version of the program, before anybody is answered. */
@Injectable()
export class SiteUpgrades {
  private readonly logger = new Logger('Schema');

  constructor(private readonly database: Database) {}

  /** A site at which the upgrade fails is left as it was and not served; the others are. */
  async run(): Promise<void> {
    const sites = await this.database.query<{ id: string }>(
      'select id from sites where schema < $1 order by created_at, id',
      [SCHEMA],
    );
    for (const { id } of sites) {
      try {
        this.tell(id, await this.database.transaction(query => upgradeSite(query, id)));
      } catch (error) {
        if (isDatabaseAway(error)) throw error;
        this.logger.error(`The site ${id} was not upgraded to schema ${SCHEMA}: ${error}`);
      }
    }
  }

  private tell(site: string, upgraded: Upgraded | null): void {
    if (!upgraded) return;
    const { from, altered, made, seq, unreadable, backup } = upgraded;
    this.logger.log(
      `The site ${site} was upgraded from schema ${from} to ${SCHEMA} by change ${seq}: ${altered} records altered, ${made} made of what they held. Backup ${backup} was taken first.`,
    );
    for (const { id, kind, why } of unreadable)
      this.logger.warn(`The site ${site} keeps the ${kind} ${id}, which cannot be read: ${why}`);
  }
}
