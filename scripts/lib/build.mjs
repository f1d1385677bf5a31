import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';

const IGNORED = new Set(['node_modules', 'dist', 'test']);

/** When anything below these folders was last written. */
function newest(folders) {
  let latest = 0;
  const visit = path => {
    const stat = statSync(path);
    if (!stat.isDirectory()) latest = Math.max(latest, stat.mtimeMs);
    else for (const name of readdirSync(path)) if (!IGNORED.has(name)) visit(join(path, name));
  };
  for (const folder of folders) visit(join(ROOT, folder));
  return latest;
}

function buildOne(name, workspace, product, command) {
  const file = join(ROOT, workspace, product);
  if (existsSync(file) && statSync(file).mtimeMs > newest([workspace, 'packages/core', 'package.json']))
    return;
  const result = spawnSync('npx', ['--no-install', ...command], {
    cwd: join(ROOT, workspace),
    env: { ...process.env, NODE_ENV: 'production' },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  if (result.status !== 0)
    throw new Error(`The ${name} could not be built:\n${result.stdout}\n${result.stderr}`);
}

export const buildServer = () =>
  buildOne('server', 'apps/server', 'dist/main.mjs', ['rolldown', '-c', 'rolldown.config.mjs']);

/** Builds server and interface where their sources are newer than what was built. */
export function build() {
  buildServer();
  buildOne('interface', 'apps/web', 'dist/index.html', ['vite', 'build', '--logLevel', 'warn']);
}
