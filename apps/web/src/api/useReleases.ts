import { useQuery } from '@tanstack/react-query';
import { answer, server } from './client.ts';
import { queryKeys } from './queryKeys.ts';
import type { Release } from './types.ts';

/** The releases of a site; read anew when the stream says so. */
export const useReleases = (site: string) =>
  useQuery({
    queryKey: queryKeys.releases(site),
    queryFn: () => answer(server.GET('/api/sites/{site}/releases', { params: { path: { site } } })),
  });

/** Changes made since the newest finished release, for a site that has got to the change numbered `seq`. */
export const unpublishedIn = (releases: readonly Release[], seq: number): number =>
  Math.max(0, seq - (releases.find(it => it.state === 'done')?.seq ?? 0));
