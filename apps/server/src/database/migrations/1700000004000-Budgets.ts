import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The files of each site, how many records it has, which release is to be seen by the order in which they were asked for,
 * and indexes by which an address and the record of a file are found without reading their neighbours.
 */
export class Budgets1700000004000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create table stored_files (
        site_id text not null references sites on delete cascade,
        file text not null,
        mime text not null,
        bytes int not null,
        digest bytea not null,
        stored_at timestamptz not null default now(),
        primary key (site_id, file)
      );
      alter table sites
        add column records int not null default 0,
        add column live_after int not null default 0;
      update sites s set
        records = (select count(*) from records where site_id = s.id),
        live_after = coalesce((select max(number) from releases where site_id = s.id and state = 'done'), 0);
      alter table releases
        add column leave_out boolean not null default false,
        add column problems jsonb not null default '[]';
      create index records_address on records (site_id, parent, (body->>'path')) where kind = 'page';
      create index records_file on records (site_id, (body->>'file')) where kind in ('asset', 'font');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop index records_file;
      drop index records_address;
      alter table releases drop column leave_out, drop column problems;
      alter table sites drop column records, drop column live_after;
      drop table stored_files;
    `);
  }
}
