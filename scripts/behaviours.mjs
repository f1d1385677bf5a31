import { readFileSync, writeFileSync } from 'node:fs';
import { makeBehaviours, shown } from './lib/behaviours.mjs';

/** Writes the published modules of widgets anew; with --check only says whether they are those of their sources. */
for (const [file, text] of await makeBehaviours()) {
  if (!process.argv.includes('--check')) writeFileSync(file, text);
  else if (readFileSync(file, 'utf8') !== text) {
    console.error(
      `${shown(file)} is not made from the behaviour.ts beside it: run node scripts/behaviours.mjs`,
    );
    process.exitCode = 1;
  }
}
