import type { Result } from '@cove/core';
import type { Workbench } from '../work/workbench';
import { acceptChange } from './acceptChange';
import type { ReceiptDto } from './dto/acceptedChange.dto';

declare module '../work/job' {
  interface Jobs {
    acceptSent: typeof acceptSent;
  }
}

/** Reads and accepts a change that is too large to be looked at where requests are answered. */
export async function acceptSent(
  { database, files }: Workbench,
  { site, account, sent }: { site: string; account: string; sent: Uint8Array },
): Promise<Result<ReceiptDto>> {
  // What describes requests takes a second to load, and no other job needs it.
  const { readSentChange } = await import('./sentChange');
  const change = readSentChange(sent);
  return database.transaction(query => acceptChange(query, files, { ...change, site, account }));
}
