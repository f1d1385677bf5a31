import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Foundation1700000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table accounts (
        id uuid primary key default gen_random_uuid(),
        email text not null unique check (email = lower(email)),
        name text not null,
        password_hash text not null,
        created_at timestamptz not null default now()
      );
      create table sessions (
        token_hash bytea primary key,
        account_id uuid not null references accounts on delete cascade,
        expires_at timestamptz not null,
        created_at timestamptz not null default now()
      );
      create index sessions_expiry on sessions (expires_at);
      create table sites (
        id text primary key,
        name text not null,
        slug text not null unique,
        seq int not null default 0,
        keeper_may text not null default 'content' check (keeper_may in ('content', 'choice', 'style')),
        live_release uuid,
        created_at timestamptz not null default now()
      );
      create table members (
        site_id text not null references sites on delete cascade,
        account_id uuid not null references accounts on delete cascade,
        role text not null check (role in ('designer', 'keeper', 'reviewer')),
        primary key (site_id, account_id)
      );
      create index members_account on members (account_id);
      create table records (
        site_id text not null references sites on delete cascade,
        id text not null,
        kind text not null,
        parent text,
        body jsonb not null,
        primary key (site_id, id)
      );
      create index records_parent on records (site_id, parent) where parent is not null;
      create table record_references (
        site_id text not null references sites on delete cascade,
        from_id text not null,
        path text not null,
        to_id text not null,
        primary key (site_id, from_id, path, to_id)
      );
      create index record_references_to on record_references (site_id, to_id);
      create table changes (
        site_id text not null references sites on delete cascade,
        seq int not null,
        id text not null,
        account_id uuid not null references accounts,
        edits jsonb not null,
        accepted_at timestamptz not null default now(),
        primary key (site_id, seq),
        unique (site_id, id)
      );
      create table releases (
        id uuid primary key default gen_random_uuid(),
        site_id text not null references sites on delete cascade,
        number int not null,
        seq int not null,
        note text not null,
        state text not null default 'waiting' check (state in ('waiting', 'making', 'done', 'failed')),
        done int not null default 0,
        total int not null default 0,
        problem text,
        created_by uuid not null references accounts,
        created_at timestamptz not null default now(),
        unique (site_id, number)
      );
      alter table sites add foreign key (live_release) references releases;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table sites drop constraint sites_live_release_fkey;
      drop table releases, changes, record_references, records, members, sites, sessions, accounts;
    `);
  }
}
