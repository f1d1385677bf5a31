import type { StationName } from '@cove/core';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Account } from './account.entity';

/** Where somebody is at a site. */
export interface Place {
  station: StationName;
  /** Id of the open page. */
  page?: string;
  /** Id of what is selected. */
  node?: string;
}

/** Somebody at a site, in one tab. */
@Entity('presence')
export class Presence {
  @PrimaryColumn({ type: 'text', name: 'site_id' })
  siteId: string;

  /** Names the tab. */
  @PrimaryColumn({ type: 'text' })
  client: string;

  @Column({ type: 'uuid', name: 'account_id' })
  accountId: string;

  @ManyToOne(() => Account)
  @JoinColumn({ name: 'account_id' })
  account: Relation<Account>;

  @Column({ type: 'jsonb' })
  place: Place;

  @Column({ type: 'timestamptz', name: 'seen_at' })
  seenAt: Date;
}
