import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, type Dto, server } from '../../api/client.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import { useMay } from '../../session/rights.tsx';

export type KeptGuide = Dto['KeptGuideDto'];
export type Snapshot = Dto['SnapshotSummaryDto'];

export const useKeptGuides = () =>
  useQuery({ queryKey: queryKeys.guides, queryFn: () => answer(server.GET('/api/guides')) });

/**
 * A kept guide with all its records, asked for when one looks at it; its fonts and pictures are laid where the site looks for
 * its own, so that it is seen with them. They do no harm where it is not taken: nothing names them.
 */
export function useKeptGuide(id: string | null, site: string) {
  const may = useMay('guide');
  return useQuery({
    queryKey: [...queryKeys.guides, id, site, may],
    queryFn: async () => {
      const params = { path: { guide: id ?? '' } };
      if (may) await answer(server.POST('/api/guides/{guide}/files', { params, body: { site } }));
      return answer(server.GET('/api/guides/{guide}', { params }));
    },
    enabled: id !== null,
  });
}

export function useKeepGuide() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Dto['KeepGuideDto']) => answer(server.POST('/api/guides', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.guides }),
  });
}

export function useForgetGuide() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (guide: string) =>
      answer(server.DELETE('/api/guides/{guide}', { params: { path: { guide } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.guides }),
  });
}

export const useSnapshots = (site: string) =>
  useQuery({
    queryKey: queryKeys.snapshots(site),
    queryFn: () => answer(server.GET('/api/sites/{site}/snapshots', { params: { path: { site } } })),
  });

/** The guide of a snapshot with all its records; asked for when it is looked at in parts. */
export const useSnapshotGuide = (site: string, id: string | null) =>
  useQuery({
    queryKey: [...queryKeys.snapshots(site), id],
    queryFn: () =>
      answer(
        server.GET('/api/sites/{site}/snapshots/{snapshot}/guide', {
          params: { path: { site, snapshot: id ?? '' } },
        }),
      ),
    enabled: id !== null,
  });

export function useKeepSnapshot(site: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (note: string) =>
      answer(server.POST('/api/sites/{site}/snapshots', { params: { path: { site } }, body: { note } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.snapshots(site) }),
  });
}

export function useRestore(site: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, part }: { id: string; part: 'all' | 'guide' }) =>
      answer(
        server.POST('/api/sites/{site}/snapshots/{snapshot}/restore', {
          params: { path: { site, snapshot: id } },
          body: { part },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.snapshots(site) }),
  });
}
