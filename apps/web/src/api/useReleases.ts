import type { Unrenderable } from '@cove/core';
import { useQuery } from '@tanstack/react-query';
import { queryKeys } from './queryKeys.ts';
import { request } from './request.ts';

export interface ReleaseSummary {
  id: string;
  number: number;
  seq: number;
  note: string;
  state: 'waiting' | 'making' | 'done' | 'failed';
  done: number;
  total: number;
  problem: string | null;
  /** What could not be rendered: which item, on which page, and why. */
  problems: readonly Unrenderable[];
  createdAt: string;
  live: boolean;
}
export interface Releases {
  unpublished: number;
  releases: readonly ReleaseSummary[];
}

/** The releases of a site, and what is unpublished after the change numbered `seq`; read anew when the stream says so. */
export const useReleases = (site: string, seq: number) =>
  useQuery({
    queryKey: [...queryKeys.releases(site), seq],
    queryFn: () => request<Releases>('GET', `/api/sites/${site}/releases`),
    placeholderData: before => before,
  });
