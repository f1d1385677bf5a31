import { createHash } from 'node:crypto';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

const isRoot = process.getuid?.() === 0;

/** Where this checkout keeps its data: each checkout its own, and reachable by the user the database runs as. */
export function dataFolder(environment = process.env) {
  if (environment.COVE_DATA) return resolve(environment.COVE_DATA);
  if (!isRoot) return join(ROOT, '.cove');
  return join('/var/lib/cove-thread', createHash('sha256').update(ROOT).digest('hex').slice(0, 12));
}
