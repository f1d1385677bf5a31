import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './lib/paths.mjs';
import { plantable } from './lib/plantable.mjs';

/**
 * Plants one error for each rule of rights, references, limits and invariants, one at a time, and runs the tests that hold
 * those rules: each has to be caught. Every so many of them where COVE_PLANTED_EVERY says so.
 */
const every = Number(process.env.COVE_PLANTED_EVERY ?? 1);
const all = plantable();
const some = all.filter((_, i) => i % every === 0);

const isCaught = error =>
  new Promise(resolve => {
    const child = spawn(
      process.execPath,
      [
        '--experimental-vm-modules',
        '--no-warnings',
        join(ROOT, 'node_modules/jest/bin/jest.js'),
        '--config',
        'jest.planted.config.mjs',
        '--ci',
        '--bail',
        '--runInBand',
        '--silent',
      ],
      {
        cwd: ROOT,
        env: {
          ...process.env,
          NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
          COVE_PLANTED: JSON.stringify(error),
        },
        stdio: 'ignore',
      },
    );
    child.on('close', code => resolve(code !== 0));
  });

let passed = 0;
const missed = [];
const queue = [...some];
const work = async () => {
  for (let error = queue.shift(); error; error = queue.shift()) {
    if (await isCaught(error)) passed++;
    else missed.push(error);
  }
};
await Promise.all([work(), work()]);
for (const { file, line, was, by } of missed) console.log(`not caught: ${file}:${line}: ${was} → ${by}`);
console.log(`${some.length} of ${all.length} errors planted`);
console.log(
  `Tests:       ${missed.length > 0 ? `${missed.length} failed, ` : ''}${passed} passed, ${some.length} total`,
);
process.exit(missed.length === 0 ? 0 : 1);
