import { useQuery } from '@tanstack/react-query';
import { request, type SiteSummary } from './request.ts';

/** Sites one is a member of. */
export const useSites = () =>
  useQuery({ queryKey: ['sites'], queryFn: () => request<SiteSummary[]>('GET', '/api/sites'), retry: false });
