import { Column, CreateDateColumn, Entity, Generated, PrimaryColumn } from 'typeorm';

@Entity('sessions')
export class Session {
  /** SHA-256 of what the cookie holds, so that the table alone opens nothing. */
  @PrimaryColumn({ type: 'bytea', name: 'token_hash' })
  tokenHash: Buffer;

  /** What it is called where sessions are listed and ended; opens nothing. */
  @Generated('uuid')
  @Column({ type: 'uuid' })
  id: string;

  @Column({ type: 'uuid', name: 'account_id' })
  accountId: string;

  /** What the browser says it is. */
  @Column({ type: 'text' })
  agent: string;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt: Date;

  @Column({ type: 'timestamptz', name: 'seen_at' })
  seenAt: Date;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
