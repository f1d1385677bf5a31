import { defineConfig } from 'rolldown';

/** Own sources inside, packages outside. */
const isOurs = id =>
  id.startsWith('.') ||
  id.startsWith('/') ||
  id.startsWith('\0') ||
  id.startsWith('@cove/') ||
  id.startsWith('@oxc-project/runtime');

export default defineConfig({
  input: {
    'describe.process': 'src/describe.process.ts',
    main: 'src/main.ts',
    'restore.process': 'src/schema/restore.process.ts',
    'sites.process': 'src/sitesHost/sites.process.ts',
    'uploads.process': 'src/uploads/uploads.process.ts',
    'work.worker': 'src/jobs/work.worker.ts',
  },
  platform: 'node',
  external: id => !isOurs(id),
  tsconfig: './tsconfig.json',
  output: {
    dir: 'dist',
    entryFileNames: '[name].mjs',
    chunkFileNames: '[name]-[hash].mjs',
    cleanDir: true,
    format: 'esm',
    sourcemap: true,
  },
});
