import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { SHIPPED_FILES } from '@cove/core';

const require = createRequire(import.meta.url);

/** A font shipped with the program; null where there is none of that name, so nothing else can be asked for. */
export async function readShippedFont(file: string): Promise<Buffer | null> {
  const name = SHIPPED_FILES.get(file);
  if (!name) return null;
  return readFile(join(dirname(require.resolve(`@fontsource-variable/${name}/package.json`)), 'files', file));
}

export const isShippedFont = (file: string): boolean => SHIPPED_FILES.has(file);
