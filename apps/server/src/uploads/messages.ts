import type { Result } from '@cove/core';
import type { ReadBy, Upload, UploadKind } from './read';

/** A file to be read. */
export interface UploadOrder extends Upload {
  order: number;
  kind: UploadKind;
}

export type UploadAnswer = { order: number } & ({ result: Result<ReadBy[UploadKind]> } | { failed: string });
