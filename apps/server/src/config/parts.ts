import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Config } from './config';

/** Address of a built program that runs as a thread or process of its own. */
export const builtPart = ({ COVE_PARTS }: Config, file: string): URL =>
  COVE_PARTS ? pathToFileURL(join(resolve(COVE_PARTS), file)) : new URL(`./${file}`, import.meta.url);
