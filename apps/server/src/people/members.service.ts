import type { KeeperMay, RoleName } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { notFound, ProblemException } from '../common/problem';

/** Told to all processes when who may do what at a site has changed. */
export const MEMBERS_CHANNEL = 'site_members';

export interface MemberRow {
  account: string;
  name: string;
  email: string;
  role: RoleName;
}

/** Who belongs to a site, and as what. A site keeps at least one designer. */
@Injectable()
export class MembersService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  list(site: string): Promise<MemberRow[]> {
    return this.database.query(
      `select a.id as account, a.name, a.email, m.role from members m join accounts a on a.id = m.account_id
       where m.site_id = $1 order by array_position(array['designer', 'keeper', 'reviewer'], m.role), a.name, a.id`,
      [site],
    );
  }

  /** Alters who belongs to a site. The row lock is the one that changes take, so no edit slips in beside it. */
  private altering<T>(site: string, act: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.database.transaction(async manager => {
      await manager.query('select 1 from sites where id = $1 for update', [site]);
      const result = await act(manager);
      await manager.query('select pg_notify($1, $2)', [MEMBERS_CHANNEL, site]);
      return result;
    });
  }

  private async needOtherDesigner(manager: EntityManager, site: string, account: string): Promise<void> {
    const others: unknown[] = await manager.query(
      "select 1 from members where site_id = $1 and role = 'designer' and account_id <> $2 limit 1",
      [site, account],
    );
    if (others.length === 0)
      throw new ProblemException({
        code: 'last-designer',
        message: 'A site needs a designer. Make somebody else a designer first.',
      });
  }

  setRole(site: string, account: string, role: RoleName): Promise<void> {
    return this.altering(site, async manager => {
      if (role !== 'designer') await this.needOtherDesigner(manager, site, account);
      const [, changed]: [unknown, number] = await manager.query(
        'update members set role = $3 where site_id = $1 and account_id = $2',
        [site, account, role],
      );
      if (changed === 0) throw notFound('member');
    });
  }

  remove(site: string, account: string): Promise<void> {
    return this.altering(site, async manager => {
      await this.needOtherDesigner(manager, site, account);
      const [, changed]: [unknown, number] = await manager.query(
        'delete from members where site_id = $1 and account_id = $2',
        [site, account],
      );
      if (changed === 0) throw notFound('member');
    });
  }

  /** Makes an account a member; one who is already keeps the role there is. */
  add(site: string, account: string, role: RoleName): Promise<void> {
    return this.altering(site, async manager => {
      await manager.query(
        'insert into members (site_id, account_id, role) values ($1, $2, $3) on conflict do nothing',
        [site, account, role],
      );
    });
  }

  setKeeperMay(site: string, keeperMay: KeeperMay): Promise<void> {
    return this.altering(site, async manager => {
      await manager.query('update sites set keeper_may = $2 where id = $1', [site, keeperMay]);
    });
  }
}
