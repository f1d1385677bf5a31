import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The schema of whatever holds records; backups of sites taken before they were upgraded; and which changes nobody can
 * replay, since a whole site is another after them. What was stored without a number has the first one.
 */
export class Schemas1700000005000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table sites
        add column schema int not null default 1,
        add column reset_at int not null default 0;
      alter table changes
        alter column account_id drop not null,
        add column schema int not null default 1,
        add column sent jsonb,
        add column resets text check (resets in ('upgrade', 'restore'));
      alter table snapshots add column schema int not null default 1;
      alter table kept_guides add column schema int not null default 1;
      alter table kept_sections add column schema int not null default 1;
      create table backups (
        id uuid primary key default gen_random_uuid(),
        site_id text not null references sites on delete cascade,
        schema int not null,
        seq int not null,
        reason text not null,
        body bytea not null,
        created_at timestamptz not null default now()
      );
      create index backups_site on backups (site_id, created_at desc);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop table backups;
      alter table kept_sections drop column schema;
      alter table kept_guides drop column schema;
      alter table snapshots drop column schema;
      delete from changes where account_id is null;
      alter table changes
        drop column schema, drop column sent, drop column resets, alter column account_id set not null;
      alter table sites drop column schema, drop column reset_at;
    `);
  }
}
