import type { RoleName } from '@cove/core';
import {
  Column,
  CreateDateColumn,
  Entity,
  JoinColumn,
  ManyToOne,
  PrimaryGeneratedColumn,
  type Relation,
} from 'typeorm';
import { SiteEntity } from './site.entity';

/** A link that makes whoever opens it a member of a site, once. */
@Entity('invitations')
export class Invitation {
  @PrimaryGeneratedColumn('uuid')
  id: string;

  /** SHA-256 of what the link holds, so that the table alone opens nothing. */
  @Column({ type: 'bytea', name: 'token_hash', unique: true })
  tokenHash: Buffer;

  @Column({ type: 'text', name: 'site_id' })
  siteId: string;

  @ManyToOne(() => SiteEntity)
  @JoinColumn({ name: 'site_id' })
  site: Relation<SiteEntity>;

  @Column({ type: 'text' })
  role: RoleName;

  /** Lower case. */
  @Column({ type: 'text' })
  email: string;

  @Column({ type: 'uuid', name: 'created_by' })
  createdBy: string;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt: Date;
}
