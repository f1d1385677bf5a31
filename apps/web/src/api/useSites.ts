import { useQuery } from '@tanstack/react-query';
import { queryKeys } from './queryKeys.ts';
import { request, type SiteSummary } from './request.ts';

/** Sites one is a member of. */
export const useSites = () =>
  useQuery({
    queryKey: queryKeys.sites,
    queryFn: () => request<SiteSummary[]>('GET', '/api/sites'),
    retry: false,
  });
