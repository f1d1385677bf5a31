import type { Edit, SiteRecord } from '@cove/core';

/** A file to be read, and the records of the site that it may be laid over. */
export interface ToWhole {
  file: File;
  over: readonly SiteRecord[] | null;
}

/** A whole site out of a file, before it is taken. */
export interface WholeFile {
  name: string;
  records: readonly SiteRecord[];
  /** The pictures that are in the file, by their names. */
  pictures: ReadonlyMap<string, Blob>;
  /** Files that the site needs and that are not in it, as paths. */
  missing: readonly string[];
  /** What would alter of the site that it is laid over; of none where it is laid over none. */
  edits: readonly Edit[];
}

export type FromWhole = { type: 'read'; whole: WholeFile } | { type: 'problem'; message: string };
