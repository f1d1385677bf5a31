import { spawnSync } from 'node:child_process';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { BENCHES } from '../bench/benches.mjs';
import { build } from './lib/build.mjs';
import { ROOT } from './lib/paths.mjs';

/** Names on the command line pick some of them. */
const wanted = process.argv.slice(2);
const unknown = wanted.filter(name => !BENCHES.includes(name));
if (unknown.length > 0) {
  console.error(`./cove bench takes ${BENCHES.join(', ')}, not ${unknown.join(', ')}.`);
  process.exit(2);
}

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
for (const name of wanted.length > 0 ? wanted : BENCHES) {
  const result = spawnSync(
    process.execPath,
    ['--enable-source-maps', join(ROOT, 'bench/dist', `${name}.mjs`)],
    { cwd: ROOT, stdio: 'inherit' },
  );
  code ||= result.status ?? 1;
}
process.exit(code);
