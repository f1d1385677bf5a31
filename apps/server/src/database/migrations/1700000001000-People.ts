import type { MigrationInterface, QueryRunner } from 'typeorm';

export class People1700000001000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table sessions
        add column id uuid not null unique default gen_random_uuid(),
        add column agent text not null default '',
        add column seen_at timestamptz not null default now();
      create index sessions_account on sessions (account_id);
      create table account_links (
        token_hash bytea primary key,
        email text not null check (email = lower(email)),
        expires_at timestamptz not null
      );
      create table invitations (
        id uuid primary key default gen_random_uuid(),
        token_hash bytea not null unique,
        site_id text not null references sites on delete cascade,
        role text not null check (role in ('designer', 'keeper', 'reviewer')),
        email text not null,
        created_by uuid not null references accounts on delete cascade,
        created_at timestamptz not null default now(),
        expires_at timestamptz not null
      );
      create index invitations_site on invitations (site_id);
      create table outbox (
        id int generated always as identity primary key,
        recipient text not null,
        subject text not null,
        body text not null,
        site_id text references sites on delete cascade,
        created_at timestamptz not null default now()
      );
      create index outbox_recipient on outbox (recipient);
      create table attempts (
        key varchar(255) primary key,
        points int not null default 0,
        expire bigint
      );
      -- Worth nothing after a crash, so it need not be written twice.
      create unlogged table presence (
        site_id text not null references sites on delete cascade,
        client text not null,
        account_id uuid not null references accounts on delete cascade,
        place jsonb not null,
        seen_at timestamptz not null default now(),
        primary key (site_id, client)
      );
      alter table changes add column base int not null default 0;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table changes drop column base;
      drop table presence, attempts, outbox, invitations, account_links;
      drop index sessions_account;
      alter table sessions drop column id, drop column agent, drop column seen_at;
    `);
  }
}
