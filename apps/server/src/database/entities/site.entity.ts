import type { KeeperMay } from '@cove/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

@Entity('sites')
export class SiteEntity {
  @PrimaryColumn({ type: 'text' })
  id: string;

  @Column({ type: 'text' })
  name: string;

  /** First step of its address among the published sites. */
  @Column({ type: 'text', unique: true })
  slug: string;

  /** Number of the last change accepted. */
  @Column({ type: 'int', default: 0 })
  seq: number;

  @Column({ type: 'text', name: 'keeper_may', default: 'content' })
  keeperMay: KeeperMay;

  /** The release that visitors see. */
  @Column({ type: 'uuid', name: 'live_release', nullable: true })
  liveRelease: string | null;

  /** Releases up to this number no longer come to be seen when they are ready: another one was chosen since. */
  @Column({ type: 'int', name: 'live_after', default: 0 })
  liveAfter: number;

  /** Number of the last change that nobody can replay. */
  @Column({ type: 'int', name: 'reset_at', default: 0 })
  resetAt: number;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
