import { parentPort, workerData } from 'node:worker_threads';
import { type PublishedSite, publishSite } from '@cove/core';
import { Pool } from 'pg';
import { ProblemException } from '../common/problem';
import { PatientClient } from '../database/patientClient';
import { SiteCache } from '../sites/siteCache';

export interface RenderOrder {
  order: number;
  site: string;
}
export type Rendered = { order: number } & (
  | { seq: number; published: PublishedSite }
  | { missing: true }
  | { failed: string }
);

/** Reads sites itself: a number goes in, files come out, and the next rendering begins with what has not changed. */
const pool = new Pool({ connectionString: String(workerData), max: 1, Client: PatientClient });
pool.on('error', () => {});
const cache = new SiteCache(async (sql, values) => (await pool.query(sql, [...values])).rows);
const answer = (it: Rendered) => parentPort?.postMessage(it);

parentPort?.on('message', ({ order, site: id }: RenderOrder) => {
  cache.at(id).then(
    ({ seq, site }) => answer({ order, seq, published: publishSite(site) }),
    (error: unknown) =>
      answer(
        error instanceof ProblemException
          ? { order, missing: true }
          : { order, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) },
      ),
  );
});
