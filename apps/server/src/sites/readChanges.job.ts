import { LIMITS } from '@cove/core';
import type { Workbench } from '../work/workbench';
import { changesAfter } from './changeRows';

declare module '../work/job' {
  interface Jobs {
    readChanges: typeof readChanges;
  }
}

/** Accepted changes after a number, oldest first, as JSON to be sent as it is; fewer than asked for where they are long. */
export async function readChanges(
  { database }: Workbench,
  { site, after, limit }: { site: string; after: number; limit: number },
): Promise<Uint8Array> {
  const rows = await changesAfter(database.query, site, after, limit, LIMITS.computedChange.bytes);
  return new TextEncoder().encode(`[${rows.map(it => it.text).join(',')}]`);
}
