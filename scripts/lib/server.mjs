import { fork } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';

/** Starts the built server as a process of its own; resolves when it answers. */
export function startServer(environment, { quiet = false } = {}) {
  const child = fork(join(ROOT, 'apps/server/dist/main.mjs'), {
    cwd: join(ROOT, 'apps/server'),
    // Threads that each keep memory of their own ready would hold far more than they use.
    env: { MALLOC_ARENA_MAX: '2', ...process.env, COVE_WEB: join(ROOT, 'apps/web/dist'), ...environment },
    execArgv: ['--enable-source-maps', '--max-semi-space-size=8'],
    stdio: ['ignore', quiet ? 'pipe' : 'inherit', 'pipe', 'ipc'],
  });
  let errors = '';
  child.stderr?.on('data', data => {
    errors += data;
    if (!quiet) process.stderr.write(data);
  });
  child.stdout?.resume();
  const stop = () =>
    new Promise(resolve => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
      setTimeout(() => child.kill('SIGKILL'), 12_000).unref();
    });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve({ child, stop }));
    child.once('exit', code => reject(new Error(`The server ended (${code}).\n${errors}`)));
  });
}
