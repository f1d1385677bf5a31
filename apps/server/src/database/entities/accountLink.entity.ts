import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A link sent by mail, with which the owner of an address makes an account or chooses a new password. */
@Entity('account_links')
export class AccountLink {
  /** SHA-256 of what the link holds, so that the table alone opens nothing. */
  @PrimaryColumn({ type: 'bytea', name: 'token_hash' })
  tokenHash: Buffer;

  /** Lower case. */
  @Column({ type: 'text' })
  email: string;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt: Date;
}
