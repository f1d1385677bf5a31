import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { promisify } from 'node:util';
import { readTokens, type SourceFile } from '@cove/core/incoming';

/**
 * What is read of token files and style sheets that other people publish, each package as somebody would open its folder. They
 * are fetched from the registry for the run and kept nowhere; without a network there is nothing to measure.
 */
const PACKAGES = [
  'open-props',
  '@primer/primitives',
  '@adobe/spectrum-tokens',
  '@shopify/polaris-tokens',
  '@radix-ui/colors',
  '@cloudscape-design/design-tokens',
  '@atlaskit/tokens',
  '@contentful/f36-tokens',
  '@digdir/designsystemet-theme',
  '@navikt/ds-tokens',
  '@telekom/design-tokens',
  '@utrecht/design-tokens',
  '@nl-design-system-unstable/voorbeeld-design-tokens',
  '@momentum-design/tokens',
  '@instructure/canvas-theme',
  '@picocss/pico',
  'bootstrap',
  'bulma',
  'water.css',
  'sakura.css',
  'milligram',
  'spectre.css',
  'uikit',
];

const run = promisify(execFile);
/** Files of one package that are read: those that somebody would open, and no more than one opening takes. */
const MOST_BYTES = 3_000_000;
const COULD_HOLD = /\.(?:json|css)$/;
const NO_TOKENS = /package(?:-lock)?\.json$|tsconfig|\.min\.css$|(?:^|\/)node_modules\//;

function* filesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesIn(path);
    else if (COULD_HOLD.test(path) && !NO_TOKENS.test(path) && statSync(path).size <= MOST_BYTES) yield path;
  }
}

async function fetched(name: string, folder: string): Promise<SourceFile[]> {
  const { stdout } = await run('npm', ['pack', name, '--silent'], { cwd: folder });
  await run('tar', ['xzf', stdout.trim().split('\n').at(-1) ?? ''], { cwd: folder });
  return [...filesIn(join(folder, 'package'))].map(path => ({
    name: relative(join(folder, 'package'), path),
    text: readFileSync(path, 'utf8'),
  }));
}

console.log(
  `${'Read of what others publish'.padEnd(54)}${['files', 'refused', 'read', 'not read', 'ms'].map(it => it.padStart(10)).join('')}`,
);
for (const name of PACKAGES) {
  const folder = mkdtempSync(join(tmpdir(), 'cove-foreign-'));
  try {
    const files = await fetched(name, folder);
    let refused = 0;
    let read = 0;
    let unread = 0;
    const began = performance.now();
    for (const file of files) {
      const found = readTokens([file]);
      if (!found.ok) refused++;
      else {
        read += found.value.items.length;
        unread += found.value.findings.filter(it => it.kind === 'unread').length;
      }
    }
    const taken = Math.round(performance.now() - began);
    console.log(
      `${name.padEnd(54)}${[files.length, refused, read, unread, taken].map(it => String(it).padStart(10)).join('')}`,
    );
  } catch (error) {
    console.log(
      `${name.padEnd(54)}could not be fetched: ${error instanceof Error ? error.message.split('\n')[0] : ''}`,
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
