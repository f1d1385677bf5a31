import { readdirSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { rolldown } from 'rolldown';
import { ROOT } from './paths.mjs';

const WIDGETS = join(ROOT, 'packages/core/src/widgets');

/** The published module of one element: its behaviour, started on the whole page. */
async function bundle(file) {
  const entry = 'entry';
  const build = await rolldown({
    input: entry,
    logLevel: 'warn',
    plugins: [
      {
        name: 'entry',
        resolveId: id => (id === entry ? id : null),
        load: id =>
          id === entry ? `import { start } from ${JSON.stringify(file)};\nstart(document);` : null,
      },
    ],
  });
  const { output } = await build.generate({ format: 'esm', minify: true });
  await build.close();
  return output[0].code.replace(/^\/\/#.*\n/gm, '').trim();
}

/** Text of each `behaviour.source.ts`, by its path, as its `behaviour.ts` makes it. */
export async function makeBehaviours() {
  const made = new Map();
  for (const name of readdirSync(WIDGETS)) {
    const file = join(WIDGETS, name, 'behaviour.ts');
    if (!readdirSync(WIDGETS, { withFileTypes: true }).some(it => it.name === name && it.isDirectory()))
      continue;
    if (!readdirSync(join(WIDGETS, name)).includes('behaviour.ts')) continue;
    const code = await bundle(file);
    made.set(
      join(dirname(file), 'behaviour.source.ts'),
      `/** Written by scripts/behaviours.mjs from behaviour.ts, not to be edited by hand. */\nexport const source =\n  ${JSON.stringify(code)};\n`,
    );
  }
  return made;
}

export const shown = file => relative(ROOT, file);
