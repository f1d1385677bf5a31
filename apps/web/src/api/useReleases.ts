import { useQuery } from '@tanstack/react-query';
import { answer, server } from './client.ts';
import { queryKeys } from './queryKeys.ts';

/** The releases of a site, and what is unpublished after the change numbered `seq`; read anew when the stream says so. */
export const useReleases = (site: string, seq: number) =>
  useQuery({
    queryKey: [...queryKeys.releases(site), seq],
    queryFn: () => answer(server.GET('/api/sites/{site}/releases', { params: { path: { site } } })),
    placeholderData: before => before,
  });
