import { LIMITS } from '@cove/core';
import { asJson, type JsonBytes } from '../api/json';
import type { Workbench } from '../work/workbench';
import { changesAfter } from './changeRows';
import type { AcceptedChangeDto } from './dto/acceptedChange.dto';

declare module '../work/job' {
  interface Jobs {
    readChanges: typeof readChanges;
  }
}

/** Accepted changes after a number, oldest first, as JSON to be sent as it is; fewer than asked for where they are long. */
export async function readChanges(
  { database }: Workbench,
  { site, after, limit }: { site: string; after: number; limit: number },
): Promise<JsonBytes<readonly AcceptedChangeDto[]>> {
  const rows = await changesAfter(database.query, site, after, limit, LIMITS.computedChange.bytes);
  return asJson(`[${rows.map(it => it.text).join(',')}]`);
}
