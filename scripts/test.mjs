import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build } from './lib/build.mjs';
import { ROOT } from './lib/paths.mjs';

const { values: options, positionals: wanted } = parseArgs({
  allowPositionals: true,
  options: {
    'test-name': { type: 'string', short: 't' },
    watch: { type: 'boolean' },
    long: { type: 'boolean' },
  },
});

const bin = name => join(ROOT, 'node_modules/.bin', name);
const tsc = join(ROOT, 'node_modules/typescript7/bin/tsc');
/** Every file of tests has a world of its own, so files run side by side; browsers need more room than cores alone tell. */
const WORKERS = Math.max(2, Math.min(4, availableParallelism()));
const jest = project => [
  process.execPath,
  [
    '--experimental-vm-modules',
    '--no-warnings',
    join(ROOT, 'node_modules/jest/bin/jest.js'),
    '--selectProjects',
    project,
    `--maxWorkers=${WORKERS}`,
    options.watch ? '--watchAll' : '--ci',
    ...(options['test-name'] ? ['-t', options['test-name']] : []),
  ],
];

/** Steps in order; a name on the command line picks one or more of them. */
const STEPS = [
  [
    'types',
    ...[
      'packages/core',
      'packages/core/tsconfig.behaviours.json',
      'apps/server',
      'apps/web',
      'e2e',
      'bench',
    ].map(project => [process.execPath, [tsc, '-p', project]]),
  ],
  ['behaviours', [process.execPath, [join(ROOT, 'scripts/behaviours.mjs'), '--check']]],
  ['lint', [bin('biome'), ['ci', '--colors=off', '--error-on-warnings', '.']]],
  ['core', jest('core')],
  ['planted', [process.execPath, [join(ROOT, 'scripts/planted.mjs')]]],
  ['server', jest('server')],
  ['web', jest('web')],
  ['e2e', jest('e2e')],
];

const fail = words => {
  console.error(words);
  process.exit(2);
};
const unknown = wanted.filter(name => !STEPS.some(([step]) => step === name));
if (unknown.length > 0)
  fail(`./cove test takes ${STEPS.map(([step]) => step).join(', ')}, not ${unknown.join(', ')}.`);
if (options.watch && wanted.length !== 1) fail('--watch takes one of core, server, web and e2e.');

/** All errors are planted where that is asked for, else every so many of them. */
const PLANTED_EVERY = wanted.includes('planted') || options.long ? '1' : '16';

const totals = { passed: 0, failed: 0 };

/** Runs one command, showing what it says, and counts the tests it tells of. */
function run([file, args]) {
  return new Promise(resolve => {
    const child = spawn(file, args, {
      cwd: ROOT,
      env: {
        ...process.env,
        NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
        FORCE_COLOR: '0',
        COVE_PLANTED_EVERY: PLANTED_EVERY,
        ...(options.long ? { COVE_LONG: '1' } : {}),
      },
      stdio: options.watch ? 'inherit' : ['ignore', 'pipe', 'pipe'],
    });
    let text = '';
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', data => {
        text += data;
        process.stdout.write(data);
      });
    child.on('close', code => {
      const line = /^Tests:(.*)$/m.exec(text)?.[1] ?? '';
      for (const key of ['passed', 'failed'])
        totals[key] += Number(new RegExp(`(\\d+) ${key}`).exec(line)?.[1] ?? 0);
      resolve(code === 0);
    });
  });
}

let good = true;
for (const [name, ...commands] of STEPS) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  console.log(`\n— ${name}`);
  const began = Date.now();
  if (name === 'e2e') build();
  for (const command of commands) good = (await run(command)) && good;
  console.log(`— ${name} took ${((Date.now() - began) / 1000).toFixed(1)} s`);
}
// A step can fail without a failing test: types or lint.
if (!good && totals.failed === 0) totals.failed = 1;
console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
process.exit(good ? 0 : 1);
