import { isObject } from '../site/fields.ts';
import { readRecord } from '../site/readRecord.ts';
import type { Id, SiteRecord } from '../site/records.ts';
import { upgradeRecord } from './schema.ts';

/** A stored record that this version of the program cannot read, and why. */
export interface Unreadable {
  id: Id;
  kind: string;
  why: string;
}

/** Reads records that were stored under a schema. What cannot be read is told, never left out without a word. */
export function readRecords(
  stored: readonly unknown[],
  from: number,
): { records: SiteRecord[]; unreadable: Unreadable[] } {
  const records: SiteRecord[] = [];
  const unreadable: Unreadable[] = [];
  for (const raw of stored)
    for (const it of upgradeRecord(raw, from)) {
      const read = readRecord(it);
      if (read.ok) records.push(read.value);
      else {
        const { id, kind }: { id?: unknown; kind?: unknown } = isObject(it) ? it : {};
        unreadable.push({ id: String(id ?? ''), kind: String(kind ?? ''), why: read.problem.message });
      }
    }
  return { records, unreadable };
}
