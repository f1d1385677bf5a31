import { spawnSync } from 'node:child_process';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { ROOT } from './lib/paths.mjs';

build();
console.log(
  `\n${new Date().toISOString().slice(0, 10)}, Node ${process.versions.node}, ${cpus().length} × ${cpus()[0]?.model.trim()}\n`,
);
const built = spawnSync('npx', ['--no-install', 'rolldown', '-c', 'rolldown.config.mjs'], {
  cwd: join(ROOT, 'bench'),
  encoding: 'utf8',
});
if (built.status !== 0) {
  console.error(built.stdout, built.stderr);
  process.exit(1);
}
let code = 0;
for (const name of ['canvas', 'accept']) {
  const result = spawnSync(
    process.execPath,
    ['--enable-source-maps', join(ROOT, 'bench/dist', `${name}.mjs`)],
    { cwd: ROOT, stdio: 'inherit' },
  );
  code ||= result.status ?? 1;
}
process.exit(code);
