import { type Id, mainColors, readRecord, type TokenRecord } from '@cove/core';
import type { Workbench } from '../work/workbench';

declare module '../work/job' {
  interface Jobs {
    paletteOfSite: typeof paletteOfSite;
  }
}

/** The main colours of a site, from its tokens alone: a list of sites must not read all of them whole. */
export async function paletteOfSite({ database }: Workbench, { site }: { site: string }): Promise<string[]> {
  const rows = await database.query<{ body: object }>(
    "select body from records where site_id = $1 and kind = 'token'",
    [site],
  );
  const tokens = new Map<Id, TokenRecord>();
  for (const { body } of rows) {
    const record = readRecord(body);
    if (record.ok && record.value.kind === 'token') tokens.set(record.value.id, record.value);
  }
  return mainColors(tokens);
}
