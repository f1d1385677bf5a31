import { type KeeperMay, ROLE_NAMES, type RoleName } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { type EntityManager, Not, Repository } from 'typeorm';
import { notFound, ProblemException } from '../common/problem';
import { MEMBERS_CHANNEL } from '../database/channels';
import { Member, SiteEntity } from '../database/entities';
import { notify } from '../database/notify';
import type { MemberDto } from './dto/member.dto';

/** Who belongs to a site, and as what. A site keeps at least one designer. */
@Injectable()
export class MembersService {
  constructor(@InjectRepository(Member) private readonly members: Repository<Member>) {}

  /** Designers first; within a role by name. */
  async list(site: string): Promise<MemberDto[]> {
    const found = await this.members.find({
      where: { siteId: site },
      relations: { account: true },
      order: { account: { name: 'ASC', id: 'ASC' } },
    });
    return ROLE_NAMES.flatMap(role =>
      found
        .filter(it => it.role === role)
        .map(({ account: { id, name, email } }) => ({ account: id, name, email, role })),
    );
  }

  /** Alters who belongs to a site. The row lock is the one that changes take, so no edit slips in beside it. */
  private async altering(
    manager: EntityManager,
    site: string,
    act: (manager: EntityManager) => Promise<void>,
  ): Promise<void> {
    await manager.transaction(async inside => {
      await inside.findOne(SiteEntity, {
        select: { id: true },
        where: { id: site },
        lock: { mode: 'pessimistic_write' },
      });
      await act(inside);
      await notify(inside, MEMBERS_CHANNEL, site);
    });
  }

  private async needOtherDesigner(manager: EntityManager, site: string, account: string): Promise<void> {
    if (!(await manager.existsBy(Member, { siteId: site, role: 'designer', accountId: Not(account) })))
      throw new ProblemException({
        code: 'last-designer',
        message: 'A site needs a designer. Make somebody else a designer first.',
      });
  }

  setRole(site: string, account: string, role: RoleName): Promise<void> {
    return this.altering(this.members.manager, site, async manager => {
      if (role !== 'designer') await this.needOtherDesigner(manager, site, account);
      const { affected } = await manager.update(Member, { siteId: site, accountId: account }, { role });
      if (!affected) throw notFound('member');
    });
  }

  remove(site: string, account: string): Promise<void> {
    return this.altering(this.members.manager, site, async manager => {
      await this.needOtherDesigner(manager, site, account);
      const { affected } = await manager.delete(Member, { siteId: site, accountId: account });
      if (!affected) throw notFound('member');
    });
  }

  /** Makes an account a member, in a transaction of the caller’s; one who is already keeps the role there is. */
  add(manager: EntityManager, site: string, account: string, role: RoleName): Promise<void> {
    return this.altering(manager, site, async inside => {
      const member = { siteId: site, accountId: account, role };
      await inside.createQueryBuilder().insert().into(Member).values(member).orIgnore().execute();
    });
  }

  setKeeperMay(site: string, keeperMay: KeeperMay): Promise<void> {
    return this.altering(this.members.manager, site, async manager => {
      await manager.update(SiteEntity, site, { keeperMay });
    });
  }
}
