import type { Clip } from '@cove/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { queryKeys } from '../api/queryKeys.ts';
import { request } from '../api/request.ts';

export interface KeptSection {
  id: string;
  name: string;
  createdAt: string;
  /** It as it left its site; null where this version of the program cannot read it. */
  clip: Clip | null;
}

/** Sections of one's own, from whichever site. */
export const useKeptSections = () =>
  useQuery({ queryKey: queryKeys.sections, queryFn: () => request<KeptSection[]>('GET', '/api/sections') });

export function useKeepSection() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { site: string; section: string; name: string }) =>
      request<KeptSection>('POST', '/api/sections', body),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.sections }),
  });
}

export function useForgetSection() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => request<void>('DELETE', `/api/sections/${id}`),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.sections }),
  });
}
