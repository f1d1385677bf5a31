import type { RoleName } from '@cove/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('members')
export class Member {
  @PrimaryColumn({ type: 'text', name: 'site_id' })
  siteId: string;

  @PrimaryColumn({ type: 'uuid', name: 'account_id' })
  accountId: string;

  @Column({ type: 'text' })
  role: RoleName;
}
