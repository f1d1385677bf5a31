import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder, ROOT } from './lib/paths.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';

/** The server is built and started anew after each good build; Vite serves the interface and passes the rest on. */
const database = await startPostgres(dataFolder());
const port = process.env.COVE_PORT ?? '4310';
const web = process.env.COVE_DEV_PORT ?? '4300';
const environment = {
  COVE_DATA: dataFolder(),
  COVE_DATABASE_URL: database.url,
  COVE_PORT: port,
  COVE_ORIGIN: `http://localhost:${web}`,
  COVE_WEB: '',
  COVE_OUTBOX: 'open',
};
let server = null;
let queue = Promise.resolve();
const restart = () => {
  queue = queue.then(async () => {
    await server?.stop();
    server = await startServer(environment).catch(error => {
      console.error(error.message);
      return null;
    });
  });
};

const npx = (folder, ...args) =>
  spawn('npx', ['--no-install', ...args], { cwd: join(ROOT, folder), stdio: ['ignore', 'pipe', 'inherit'] });
const bundler = npx('apps/server', 'rolldown', '-c', 'rolldown.config.mjs', '--watch');
bundler.stdout.on('data', data => {
  if (/Rebuilt|Finished|built/i.test(String(data))) restart();
});
const vite = npx('apps/web', 'vite', '--port', web, '--strictPort');
vite.stdout.pipe(process.stdout);

const end = async () => {
  bundler.kill();
  vite.kill();
  await queue;
  await server?.stop();
  database.stop();
  process.exit(0);
};
process.on('SIGINT', () => void end());
process.on('SIGTERM', () => void end());
