import { Column, CreateDateColumn, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** A guide that somebody keeps from a site for the next one; what it holds is read in threads. */
@Entity('kept_guides')
export class KeptGuide {
  @PrimaryGeneratedColumn('uuid')
  id: string;

  @Column({ type: 'uuid', name: 'account_id', select: false })
  accountId: string;

  @Column({ type: 'text' })
  name: string;

  @Column({ type: 'text' })
  about: string;

  @Column({ type: 'int', default: 1 })
  version: number;

  @Column({ type: 'text', name: 'from_site' })
  fromSite: string;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
