import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

@Entity('sessions')
export class Session {
  /** SHA-256 of what the cookie holds, so that the table alone opens nothing. */
  @PrimaryColumn({ type: 'bytea', name: 'token_hash' })
  tokenHash: Buffer;

  @Column({ type: 'uuid', name: 'account_id' })
  accountId: string;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt: Date;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt: Date;
}
