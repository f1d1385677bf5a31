import { Column, CreateDateColumn, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** A letter that would have been sent. */
@Entity('outbox')
export class Letter {
  @PrimaryGeneratedColumn('identity', { type: 'int' })
  id: number;

  /** Address, in lower case. */
  @Column({ type: 'text' })
  recipient: string;

  @Column({ type: 'text' })
  subject: string;

  @Column({ type: 'text' })
  body: string;

  /** The site in whose name it is sent. */
  @Column({ type: 'text', name: 'site_id', nullable: true })
  siteId: string | null;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  sentAt: Date;
}
