import { useQuery } from '@tanstack/react-query';
import { answer, server } from './client.ts';
import { queryKeys } from './queryKeys.ts';

/** Sites one is a member of. */
export const useSites = () =>
  useQuery({
    queryKey: queryKeys.sites,
    queryFn: () => answer(server.GET('/api/sites')),
    retry: false,
  });
