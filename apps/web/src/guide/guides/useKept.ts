import type { GuideData } from '@cove/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { queryKeys } from '../../api/queryKeys.ts';
import { request } from '../../api/request.ts';
import { useMay } from '../../session/rights.tsx';

export interface KeptGuide {
  id: string;
  name: string;
  about: string;
  version: number;
  fromSite: string;
  createdAt: string;
}
export interface Snapshot {
  id: string;
  note: string;
  by: string | null;
  createdAt: string;
}

export const useKeptGuides = () =>
  useQuery({ queryKey: queryKeys.guides, queryFn: () => request<KeptGuide[]>('GET', '/api/guides') });

/**
 * A kept guide with all its records, asked for when one looks at it; its fonts and pictures are laid where the site looks for
 * its own, so that it is seen with them. They do no harm where it is not taken: nothing names them.
 */
export function useKeptGuide(id: string | null, site: string) {
  const may = useMay('guide');
  return useQuery({
    queryKey: [...queryKeys.guides, id, site, may],
    queryFn: async () => {
      if (may) await request<void>('POST', `/api/guides/${id}/files`, { site });
      return request<GuideData>('GET', `/api/guides/${id}`);
    },
    enabled: id !== null,
  });
}

export function useKeepGuide() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { site: string; name: string; about: string }) =>
      request<KeptGuide>('POST', '/api/guides', body),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.guides }),
  });
}

export function useForgetGuide() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => request<void>('DELETE', `/api/guides/${id}`),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.guides }),
  });
}

export const useSnapshots = (site: string) =>
  useQuery({
    queryKey: queryKeys.snapshots(site),
    queryFn: () => request<Snapshot[]>('GET', `/api/sites/${site}/snapshots`),
  });

/** The guide of a snapshot with all its records; asked for when it is looked at in parts. */
export const useSnapshotGuide = (site: string, id: string | null) =>
  useQuery({
    queryKey: [...queryKeys.snapshots(site), id],
    queryFn: () => request<GuideData>('GET', `/api/sites/${site}/snapshots/${id}/guide`),
    enabled: id !== null,
  });

export function useKeepSnapshot(site: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (note: string) => request<{ id: string }>('POST', `/api/sites/${site}/snapshots`, { note }),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.snapshots(site) }),
  });
}

export function useRestore(site: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, part }: { id: string; part: 'all' | 'guide' }) =>
      request<{ seq: number; unread: readonly string[] }>(
        'POST',
        `/api/sites/${site}/snapshots/${id}/restore`,
        { part },
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.snapshots(site) }),
  });
}
