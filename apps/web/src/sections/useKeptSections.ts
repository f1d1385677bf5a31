import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, type Dto, server } from '../api/client.ts';
import { queryKeys } from '../api/queryKeys.ts';

export type KeptSection = Dto['WholeKeptSectionDto'];

/** Sections of one's own, from whichever site. */
export const useKeptSections = () =>
  useQuery({ queryKey: queryKeys.sections, queryFn: () => answer(server.GET('/api/sections')) });

export function useKeepSection() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Dto['KeepSectionDto']) => answer(server.POST('/api/sections', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.sections }),
  });
}

export function useForgetSection() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (section: string) =>
      answer(server.DELETE('/api/sections/{section}', { params: { path: { section } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.sections }),
  });
}
