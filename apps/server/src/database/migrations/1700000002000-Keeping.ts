import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whole sites kept at a moment, and guides that people keep for their next site; bodies are JSON, compressed. */
export class Keeping1700000002000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table snapshots (
        id uuid primary key default gen_random_uuid(),
        site_id text not null references sites on delete cascade,
        seq int not null,
        note text not null,
        account_id uuid references accounts on delete set null,
        created_at timestamptz not null default now(),
        body bytea not null
      );
      create index snapshots_site on snapshots (site_id, created_at desc);
      create table kept_guides (
        id uuid primary key default gen_random_uuid(),
        account_id uuid not null references accounts on delete cascade,
        name text not null,
        about text not null,
        version int not null default 1,
        from_site text not null,
        created_at timestamptz not null default now(),
        body bytea not null,
        unique (account_id, name)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table kept_guides; drop table snapshots;');
  }
}
