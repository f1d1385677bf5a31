import { createServer } from 'node:http';
import { Pool } from 'pg';
import { answerBadRequests } from '../common/badRequests';
import { PoolDatabase } from '../common/database';
import { PatientClient } from '../database/patientClient';
import { DiskStorage } from '../storage/diskStorage';
import { answerer, type SitesSettings } from './answer';

export interface SitesProcessSettings extends SitesSettings {
  databaseUrl: string;
  dataFolder: string;
  port: number;
}

/** Milliseconds for which a port is waited for that an ended process has not let go of yet. */
const PATIENCE = 10_000;

/** Serves the published sites, in a process that nothing in the program can hold up. It ends with the program. */
function serve({ databaseUrl, dataFolder, port, ...settings }: SitesProcessSettings): void {
  const pool = new Pool({
    connectionString: databaseUrl,
    max: 4,
    Client: PatientClient,
    connectionTimeoutMillis: 5000,
  });
  pool.on('error', () => {});
  const server = createServer(answerer(new PoolDatabase(pool).query, new DiskStorage(dataFolder), settings));
  answerBadRequests(server);
  server.headersTimeout = 10_000;
  server.requestTimeout = 15_000;
  const began = Date.now();
  server.on('listening', () => {
    const address = server.address();
    process.send?.({ port: typeof address === 'object' && address ? address.port : port });
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE' || Date.now() - began > PATIENCE) {
      process.send?.({ failed: error.message });
      process.exit(1);
    }
    setTimeout(() => server.listen(port, '127.0.0.1'), 100);
  });
  server.listen(port, '127.0.0.1');
}

process.once('message', serve);
process.on('disconnect', () => process.exit(0));
// Ctrl+C reaches all processes of a terminal; the program tells this one when it is time.
process.on('SIGINT', () => {});
