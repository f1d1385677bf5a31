import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sections that people keep for other pages and sites, as they leave a site on the clipboard; JSON, compressed. */
export class KeptSections1700000003000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table kept_sections (
        id uuid primary key default gen_random_uuid(),
        account_id uuid not null references accounts on delete cascade,
        name text not null,
        created_at timestamptz not null default now(),
        body bytea not null,
        unique (account_id, name)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('drop table kept_sections;');
  }
}
