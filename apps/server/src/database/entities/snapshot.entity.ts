import {
  Column,
  CreateDateColumn,
  Entity,
  JoinColumn,
  ManyToOne,
  PrimaryGeneratedColumn,
  type Relation,
} from 'typeorm';
import { Account } from './account.entity';

/** A whole site as it was at a moment; what it holds is read in threads. */
@Entity('snapshots')
export class Snapshot {
  @PrimaryGeneratedColumn('uuid')
  id: string;

  @Column({ type: 'text', name: 'site_id' })
  siteId: string;

  /** The change up to which it holds the site. */
  @Column({ type: 'int' })
  seq: number;

  @Column({ type: 'text' })
  note: string;

  @ManyToOne(() => Account, { nullable: true })
  @JoinColumn({ name: 'account_id' })
  by: Relation<Account> | null;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
