import type { Cluster, GuideData } from '@cove/core';
import type { Brand } from '@cove/core/starters';

/** What the worker is asked: to read text or a file, to cluster a picture, to work a brand out to a guide. */
export type ToBrand =
  | { ask: number; type: 'lines'; text: string }
  | { ask: number; type: 'file'; text: string }
  | { ask: number; type: 'picture'; picture: Blob }
  | { ask: number; type: 'pixels'; pixels: Uint8ClampedArray }
  | { ask: number; type: 'complete'; brand: Brand; name: string };

export type FromBrand =
  | {
      ask: number;
      type: 'read';
      brand: Brand;
      unread: readonly { line: number; text: string; message: string }[];
    }
  | { ask: number; type: 'clusters'; clusters: readonly Cluster[] }
  | { ask: number; type: 'guide'; guide: GuideData }
  | { ask: number; type: 'problem'; message: string };
