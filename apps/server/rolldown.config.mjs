import { defineConfig } from 'rolldown';

/** Own sources inside, packages outside. */
const isOurs = id =>
  id.startsWith('.') ||
  id.startsWith('/') ||
  id.startsWith('\0') ||
  id.startsWith('@cove/') ||
  id.startsWith('@oxc-project/runtime');

export default defineConfig({
  input: 'src/main.ts',
  platform: 'node',
  external: id => !isOurs(id),
  tsconfig: './tsconfig.json',
  output: { file: 'dist/main.mjs', format: 'esm', sourcemap: true },
});
