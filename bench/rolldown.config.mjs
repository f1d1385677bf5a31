import { defineConfig } from 'rolldown';

const isOurs = id =>
  id.startsWith('.') ||
  id.startsWith('/') ||
  id.startsWith('\0') ||
  id.startsWith('@cove/') ||
  id.startsWith('@oxc-project/runtime');

export default [
  defineConfig({
    input: { accept: 'accept.ts', canvas: 'canvas.ts' },
    platform: 'node',
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
