import { dirname, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { defineConfig } from 'rolldown';
import { BENCHES } from './benches.mjs';

const isOurs = id =>
  id.startsWith('.') ||
  id.startsWith('/') ||
  id.startsWith('\0') ||
  id.startsWith('@cove/') ||
  id.startsWith('@oxc-project/runtime');

/** The scripts stay where they are, since they look for files beside them. */
const scripts = {
  name: 'scripts',
  resolveId: (source, importer) =>
    importer && source.includes('/scripts/lib/')
      ? { id: pathToFileURL(resolve(dirname(importer), source)).href, external: true }
      : null,
};

export default [
  defineConfig({
    input: Object.fromEntries(BENCHES.map(name => [name, `${name}.ts`])),
    platform: 'node',
    plugins: [scripts],
    external: id => !isOurs(id),
    tsconfig: '../apps/server/tsconfig.json',
    output: { dir: 'dist', entryFileNames: '[name].mjs', format: 'esm', sourcemap: true },
  }),
  defineConfig({
    input: 'inCanvas.ts',
    platform: 'browser',
    output: { file: 'dist/inCanvas.js', format: 'iife' },
  }),
];
