import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the list of sites shows: which are archived, and the name that a site's settings say, whoever changes it. */
export class SiteList1700000007000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      alter table sites add column archived_at timestamptz;
      create index records_listed on records (site_id, kind) where kind in ('settings', 'token');
      update sites s set name = r.body->>'name' from records r where r.site_id = s.id and r.kind = 'settings';
      create function name_site() returns trigger language plpgsql as $$
      begin
        update sites set name = new.body->>'name' where id = new.site_id and name <> new.body->>'name';
        return null;
      end $$;
      create trigger site_named after insert or update on records
        for each row when (new.kind = 'settings') execute function name_site();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop trigger site_named on records;
      drop function name_site();
      drop index records_listed;
      alter table sites drop column archived_at;
    `);
  }
}
