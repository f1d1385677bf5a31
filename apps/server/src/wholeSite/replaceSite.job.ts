import { randomUUID } from 'node:crypto';
import { differenceTo, LIMITS, type Result, settingsOf } from '@cove/core';
import { ProblemException } from '../common/problem';
import { acceptChange } from '../sites/acceptChange';
import { keepAt } from '../snapshots/snapshots.job';
import { readUnpacked, type UnpackedSite } from '../uploads/unpackedSite';
import type { Workbench } from '../work/workbench';
import type { ReplacedSiteDto } from './dto/replacedSite.dto';

declare module '../work/job' {
  interface Jobs {
    replaceSite: typeof replaceSite;
  }
}

const must = <T>(result: Result<T>): T => {
  if (!result.ok) throw new ProblemException(result.problem);
  return result.value;
};

/** Lays a whole site over another, as one change like any other; what was there is kept as a snapshot first, or nothing is changed. */
export async function replaceSite(
  bench: Workbench,
  { site: id, account, whole }: { site: string; account: string; whole: UnpackedSite },
): Promise<ReplacedSiteDto> {
  const { database, sites, files } = bench;
  const wanted = must(await readUnpacked(bench.storage, whole, id));
  const now = await sites.at(id);
  const edits = differenceTo(now.site, wanted.site);
  if (edits.length === 0) return { seq: now.seq, changed: false };
  const note = `Before “${settingsOf(wanted.site).name}” was laid over it`.slice(0, 200);
  const { seq } = await database.transaction(async query => {
    await keepAt(query, id, account, note, now);
    await files.note(query, id, wanted.stored);
    const change = { site: id, account, id: `replace-${randomUUID()}`, base: now.seq, edits };
    const accepted = must(await acceptChange(query, files, change, LIMITS.computedChange));
    await wanted.lay();
    return accepted;
  });
  return { seq, changed: true };
}
