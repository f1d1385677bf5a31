import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readRecord, referencesOf, upgradeRecord } from '@cove/core';
import { hash } from '@node-rs/argon2';
import { Client } from 'pg';
import { DataSource } from 'typeorm';
import { pack } from '../../src/common/packed';
import { Foundation1700000000000 } from '../../src/database/migrations/1700000000000-Foundation';
import { People1700000001000 } from '../../src/database/migrations/1700000001000-People';
import { Keeping1700000002000 } from '../../src/database/migrations/1700000002000-Keeping';
import { KeptSections1700000003000 } from '../../src/database/migrations/1700000003000-KeptSections';
import { Budgets1700000004000 } from '../../src/database/migrations/1700000004000-Budgets';
import { DEMO } from '../../src/demo/demo.service';

interface Stored {
  id: string;
  kind: string;
  at?: { parent: string };
}

/** What a store held under schema 1, frozen beside the core’s tests. */
export const schema1 = (name: string) =>
  JSON.parse(
    readFileSync(
      join(import.meta.dirname, `../../../../packages/core/test/fixtures/schema1/${name}.json`),
      'utf8',
    ),
  );

/** A record that nobody could ever read. */
const RIDDLE = { id: 'riddle', kind: 'widget', widget: 'sphinx', at: { parent: 'before', order: 'zz' } };

/** A database as the last program without schemas left it: made by its own migrations, with something in every store. */
export async function createDatabaseOfSchema1(name: string): Promise<string> {
  const base = process.env.COVE_TEST_DATABASE;
  if (!base) throw new Error('the test database was not started');
  const admin = new Client({ connectionString: base });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = base.replace(/\/[^/]*$/, `/${name}`);
  const source = await new DataSource({
    type: 'postgres',
    url,
    migrations: [
      Foundation1700000000000,
      People1700000001000,
      Keeping1700000002000,
      KeptSections1700000003000,
      Budgets1700000004000,
    ],
    migrationsRun: true,
  }).initialize();
  const records: Stored[] = schema1('site');
  const [account]: { id: string }[] = await source.query(
    'insert into accounts (email, name, password_hash) values ($1, $2, $3) returning id',
    [DEMO.email, DEMO.name, await hash(DEMO.password)],
  );
  await source.query(
    "insert into sites (id, name, slug, seq, records) values ('tolvane', 'Tolvane', 'tolvane', 2, $1)",
    [records.length],
  );
  await source.query("insert into members (site_id, account_id, role) values ('tolvane', $1, 'designer')", [
    account?.id,
  ]);
  for (const body of records) {
    await source.query('insert into records (site_id, id, kind, parent, body) values ($1, $2, $3, $4, $5)', [
      'tolvane',
      body.id,
      body.kind,
      body.at?.parent ?? null,
      JSON.stringify(body),
    ]);
    const read = readRecord(upgradeRecord(body, 1)[0]);
    for (const { path, to } of read.ok ? referencesOf(read.value) : [])
      await source.query(
        "insert into record_references (site_id, from_id, path, to_id) values ('tolvane', $1, $2, $3) on conflict do nothing",
        [body.id, path, to],
      );
    if ('file' in body)
      await source.query(
        "insert into stored_files (site_id, file, mime, bytes, digest) values ('tolvane', $1, $2, 1, '') on conflict do nothing",
        [body.file, 'mime' in body ? body.mime : 'font/woff2'],
      );
  }
  const [first] = schema1('pending');
  for (const [i, [id, edits]] of [
    ['begin-tolvane', []],
    [`waited-${first.id}`, first.edits],
  ].entries())
    await source.query(
      "insert into changes (site_id, seq, id, account_id, edits) values ('tolvane', $1, $2, $3, $4)",
      [i + 1, id, account?.id, JSON.stringify(edits)],
    );
  const withRiddle = [
    ...records.filter(it => it.id !== 'before-title'),
    { ...RIDDLE, id: 'before-title' },
    RIDDLE,
  ];
  for (const [note, body] of [
    ['As it was', records],
    ['With a riddle', withRiddle],
    ['With a riddle in the guide', records.map(it => (it.id === 'ownRole' ? { ...it, name: 3 } : it))],
  ] as const)
    await source.query(
      "insert into snapshots (site_id, seq, note, account_id, body) values ('tolvane', 2, $1, $2, $3)",
      [note, account?.id, await pack(body)],
    );
  await source.query(
    "insert into kept_guides (account_id, name, about, from_site, body) values ($1, 'Tolvane', '', 'tolvane', $2)",
    [account?.id, await pack(schema1('guide'))],
  );
  for (const [title, body] of [
    ['Before you sail', schema1('section')],
    ['Riddle', { ...schema1('section'), things: [[RIDDLE]] }],
  ] as const)
    await source.query('insert into kept_sections (account_id, name, body) values ($1, $2, $3)', [
      account?.id,
      title,
      await pack(body),
    ]);
  await source.destroy();
  return url;
}
