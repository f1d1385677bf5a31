import {
  type GuideRecord,
  type Kind,
  kindNamed,
  type RecordMap,
  type SiteRecord,
} from '../../site/kinds/index.ts';
import type { Rename } from '../../site/kinds/recordKind.ts';

const renaming = <K extends Kind>(kind: K, record: RecordMap[K], rename: Rename): RecordMap[K] =>
  kindNamed(kind).guide?.renamed(record, rename) ?? record;

/** A record of a guide under other ids, its own and those of all it mentions; `rename` leaves alone what it does not know. */
export const withIds = (record: GuideRecord, rename: Rename): SiteRecord =>
  renaming(record.kind, record, rename);
