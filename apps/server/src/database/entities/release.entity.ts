import type { Unrenderable } from '@cove/core';
import { Column, CreateDateColumn, Entity, PrimaryGeneratedColumn } from 'typeorm';

export const RELEASE_STATES = ['waiting', 'making', 'done', 'failed'] as const;
export type ReleaseState = (typeof RELEASE_STATES)[number];

@Entity('releases')
export class Release {
  @PrimaryGeneratedColumn('uuid')
  id: string;

  @Column({ type: 'text', name: 'site_id' })
  siteId: string;

  /** Counted from 1 for each site. */
  @Column({ type: 'int' })
  number: number;

  /** The change up to which it holds the site. */
  @Column({ type: 'int' })
  seq: number;

  @Column({ type: 'text' })
  note: string;

  @Column({ type: 'text', default: 'waiting' })
  state: ReleaseState;

  @Column({ type: 'int', default: 0 })
  done: number;

  @Column({ type: 'int', default: 0 })
  total: number;

  @Column({ type: 'text', nullable: true })
  problem: string | null;

  /** What could not be rendered: which item, on which page, and why. */
  @Column({ type: 'jsonb', default: [] })
  problems: readonly Unrenderable[];

  /** Whether what cannot be rendered is left out, and the rest published. */
  @Column({ type: 'boolean', name: 'leave_out', default: false })
  leaveOut: boolean;

  @Column({ type: 'uuid', name: 'created_by' })
  createdBy: string;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
