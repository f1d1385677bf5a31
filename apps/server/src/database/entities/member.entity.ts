import type { RoleName } from '@cove/core';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Account } from './account.entity';
import { SiteEntity } from './site.entity';

@Entity('members')
export class Member {
  @PrimaryColumn({ type: 'text', name: 'site_id' })
  siteId: string;

  @ManyToOne(() => SiteEntity)
  @JoinColumn({ name: 'site_id' })
  site: Relation<SiteEntity>;

  @PrimaryColumn({ type: 'uuid', name: 'account_id' })
  accountId: string;

  @ManyToOne(() => Account)
  @JoinColumn({ name: 'account_id' })
  account: Relation<Account>;

  @Column({ type: 'text' })
  role: RoleName;
}
