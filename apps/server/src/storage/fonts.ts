import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { FAMILIES, fontFile } from '@cove/core';

const require = createRequire(import.meta.url);

/** Known font files and the package each ships in; nothing else can be asked for. */
const PACKAGES = new Map<string, string>(
  FAMILIES.flatMap(family =>
    (['normal', 'italic'] as const).flatMap(cut => {
      const file = fontFile(family, cut);
      return file && family.file ? [[file, `@fontsource-variable/${family.file}`] as const] : [];
    }),
  ),
);

/** A font shipped with the program; null where there is none of that name. */
export async function readFont(file: string): Promise<Buffer | null> {
  const name = PACKAGES.get(file);
  if (!name) return null;
  return readFile(join(dirname(require.resolve(`${name}/package.json`)), 'files', file));
}
