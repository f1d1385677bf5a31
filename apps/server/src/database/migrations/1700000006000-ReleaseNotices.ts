import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Says when a release of a site has come further, or another one is seen by visitors: whoever looks at them need not ask. */
export class ReleaseNotices1700000006000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      create function tell_of_release() returns trigger language plpgsql as $$
      begin
        -- The trigger says in which column the site's id stands.
        perform pg_notify('site_releases', to_jsonb(new)->>tg_argv[0]);
        return null;
      end $$;
      create trigger release_told after insert or update on releases
        for each row execute function tell_of_release('site_id');
      create trigger live_release_told after update of live_release on sites
        for each row execute function tell_of_release('id');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      drop trigger live_release_told on sites;
      drop trigger release_told on releases;
      drop function tell_of_release();
    `);
  }
}
