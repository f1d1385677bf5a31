import 'reflect-metadata';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Edit, type RoleName, SCHEMA, type SiteRecord } from '@cove/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Client } from 'pg';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { freePort } from '../../../../scripts/lib/postgres.mjs';
import { AccountsService } from '../../src/accounts/accounts.service';
import { readConfig } from '../../src/config/config';
import { createApp } from '../../src/createApp';
import { DEMO, DemoService } from '../../src/demo/demo.service';
import { SiteUpgrades } from '../../src/schema/siteUpgrades.service';
import { SitesHost } from '../../src/sitesHost/sitesHost.service';

/** Where the program of this test file is found; known once it has started. */
export let ORIGIN = '';

/** A whole server on a database of its own, with the demo laid. */
export async function startWorld(name: string) {
  const base = process.env.COVE_TEST_DATABASE;
  if (!base) throw new Error('the test database was not started');
  const admin = new Client({ connectionString: base });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  return startProcess(name, base.replace(/\/[^/]*$/, `/${name}`));
}

/** One server process at a database; several can serve the same one. */
export async function startProcess(name: string, url: string, more: Record<string, string> = {}) {
  const [port, sitesPort]: [number, number] = [await freePort(), await freePort()];
  const origin = `http://127.0.0.1:${port}`;
  ORIGIN ||= origin;
  const folder = mkdtempSync(join(tmpdir(), 'cove-data-'));
  const config = readConfig({
    COVE_PORT: String(port),
    COVE_SITES_PORT: String(sitesPort),
    COVE_DATA: folder,
    COVE_DATABASE_URL: url,
    COVE_ORIGIN: origin,
    COVE_SITES_ORIGIN: `http://127.0.0.1:${sitesPort}`,
    COVE_LOG_LEVEL: 'silent',
    COVE_OUTSIDE: 'quick',
    COVE_PARTS: process.env.COVE_PARTS,
    ...more,
  });
  const app: NestExpressApplication = await createApp(config);
  await app.listen(port, '127.0.0.1');
  await app.get(SiteUpgrades).run();
  await app.get(DemoService).createIfMissing();
  const http = app.getHttpServer();
  const database = app.get(DataSource);
  const address: string = await app.getUrl();
  let made = 0;

  const signIn = async (email: string, password: string): Promise<string> => {
    const response = await request(http)
      .post('/api/session')
      .set('origin', origin)
      .send({ email, password })
      .expect(200);
    const [cookie = ''] = response.get('set-cookie') ?? [];
    return cookie.split(';')[0] ?? '';
  };
  const demo = await signIn(DEMO.email, DEMO.password);

  return {
    app,
    config,
    url,
    database,
    http,
    address,
    /** Cookie of the demo's designer. */
    demo,
    signIn,
    get: (path: string, cookie = demo) =>
      request(http).get(path).set('cookie', cookie).set('cove-schema', String(SCHEMA)),
    send: (method: 'post' | 'put' | 'delete', path: string, body?: object, cookie = demo) =>
      request(http)
        [method](path)
        .set('cookie', cookie)
        .set('cove-schema', String(SCHEMA))
        .set('origin', origin)
        .send(body),
    /** Sends a file as it is. */
    upload: (path: string, data: Buffer, cookie = demo) =>
      request(http)
        .post(path)
        .set('cookie', cookie)
        .set('cove-schema', String(SCHEMA))
        .set('origin', origin)
        .type('application/octet-stream')
        .send(data),
    change: (
      edits: readonly (Edit | Record<string, unknown>)[],
      { id = `change-${++made}-${name}`, cookie = demo, site = DEMO.site as string } = {},
    ) =>
      request(http)
        .post(`/api/sites/${site}/changes`)
        .set('cookie', cookie)
        .set('cove-schema', String(SCHEMA))
        .set('origin', origin)
        .send({ id, edits }),
    record: async (id: string, site = DEMO.site as string): Promise<SiteRecord | undefined> => {
      const rows: { body: SiteRecord }[] = await database.query(
        'select body from records where site_id = $1 and id = $2',
        [site, id],
      );
      return rows[0]?.body;
    },
    /** A further member of the demo with a role; answers with the cookie. */
    member: async (
      role: RoleName,
      keeperMay: 'content' | 'choice' | 'style' = 'content',
    ): Promise<string> => {
      const email = `${role}-${++made}@tolvane.example`;
      const account = await app.get(AccountsService).create(email, role, 'a-long-password');
      await database.query('insert into members (site_id, account_id, role) values ($1, $2, $3)', [
        DEMO.site,
        account.id,
        role,
      ]);
      await database.query('update sites set keeper_may = $2 where id = $1', [DEMO.site, keeperMay]);
      return signIn(email, 'a-long-password');
    },
    stranger: async (): Promise<string> => {
      const email = `stranger-${++made}@tolvane.example`;
      await app.get(AccountsService).create(email, 'stranger', 'a-long-password');
      return signIn(email, 'a-long-password');
    },
    sitesAddress: () => `http://127.0.0.1:${app.get(SitesHost).port}`,
    close: async () => {
      await app.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
export type World = Awaited<ReturnType<typeof startWorld>>;
