import type { Result } from '@cove/core';
import type { Workbench } from '../work/workbench';
import { acceptChange } from './acceptChange';
import type { ReceiptDto } from './dto/acceptedChange.dto';
import { readSentChange } from './sentChange';

declare module '../work/job' {
  interface Jobs {
    acceptSent: typeof acceptSent;
  }
}

/** Reads and accepts a change that is too large to be looked at where requests are answered. */
export function acceptSent(
  { database, files }: Workbench,
  { site, account, sent }: { site: string; account: string; sent: Uint8Array },
): Promise<Result<ReceiptDto>> {
  const change = readSentChange(sent);
  return database.transaction(query => acceptChange(query, files, { ...change, site, account }));
}
