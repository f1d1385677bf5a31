import type { Result } from '@cove/core';
import type { KeptBy, UploadKind } from './keep';

/** A file to be read and kept. */
export interface UploadOrder {
  order: number;
  kind: UploadKind;
  site: string;
  /** Where it lies. */
  path: string;
  /** What it was called; its ending tells kinds of text apart. */
  name: string;
}

export type UploadAnswer = { order: number } & ({ result: Result<KeptBy[UploadKind]> } | { failed: string });
