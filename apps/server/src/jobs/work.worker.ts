import 'reflect-metadata';
import { join } from 'node:path';
import { parentPort, workerData } from 'node:worker_threads';
import { Pool } from 'pg';
import { PoolDatabase } from '../common/database';
import { isDatabaseAway } from '../common/databaseAway';
import { ProblemException } from '../common/problem';
import { PatientClient } from '../database/patientClient';
import { FontStore } from '../files/fontStore';
import { PictureStore } from '../files/pictureStore';
import { SiteCache } from '../siteCache/siteCache';
import { DiskStorage } from '../storage/diskStorage';
import { StoredFiles } from '../storage/storedFiles';
import type { JobName } from '../work/job';
import type { Answer, Order, ThreadSettings } from '../work/messages';
import type { Workbench } from '../work/workbench';
import { JOBS } from './index';

const { databaseUrl, dataFolder }: ThreadSettings = workerData;
const pool = new Pool({ connectionString: databaseUrl, max: 2, Client: PatientClient });
pool.on('error', () => {});
const database = new PoolDatabase(pool);
const storage = new DiskStorage(dataFolder);
const bench: Workbench = {
  database,
  sites: new SiteCache(database.query),
  storage,
  files: new StoredFiles(storage),
  fonts: new FontStore(storage),
  pictures: new PictureStore(storage),
  scratch: join(dataFolder, 'incoming'),
};

const isJob = (name: string): name is JobName => Object.hasOwn(JOBS, name);

/** Jobs are typed where they are asked for; across the threads they are names and data. */
async function runJob({ job, args }: Order): Promise<unknown> {
  if (!isJob(job)) throw new Error(`no job ${job}`);
  const run: (bench: Workbench, args: never) => Promise<unknown> = JOBS[job];
  return run(bench, args as never);
}

const answer = (it: Answer) => parentPort?.postMessage(it);

parentPort?.on('message', (order: Order) => {
  runJob(order).then(
    result => answer({ order: order.order, result }),
    (error: unknown) =>
      answer(
        error instanceof ProblemException
          ? { order: order.order, problem: error.problem }
          : {
              order: order.order,
              failed: error instanceof Error ? (error.stack ?? error.message) : String(error),
              databaseAway: isDatabaseAway(error),
            },
      ),
  );
});
