import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { answer, server } from '../../api/client.ts';
import { problemText } from '../../api/problemText.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import type { SiteSummary } from '../../api/types.ts';
import { WORDS } from './words.ts';

/** What is done with a site as a whole. What fails in a sheet is said there; the rest is said in passing. */
export function useSiteCare() {
  const queries = useQueryClient();
  const changed = () => queries.invalidateQueries({ queryKey: queryKeys.sites });
  const pathOf = ({ id }: SiteSummary) => ({ path: { site: id } });

  const setArchived = async (site: SiteSummary, archived: boolean): Promise<void> => {
    try {
      await answer(server.PUT('/api/sites/{site}/archived', { params: pathOf(site), body: { archived } }));
      await changed();
      toast(archived ? WORDS.didArchive(site) : WORDS.didRestore(site), {
        action: { label: WORDS.undo, onClick: () => void setArchived(site, !archived) },
      });
    } catch (error) {
      toast.error(problemText(error));
    }
  };

  return {
    setArchived,
    rename: async (site: SiteSummary, name: string): Promise<void> => {
      await answer(server.PUT('/api/sites/{site}/name', { params: pathOf(site), body: { name } }));
      await changed();
    },
    duplicate: async (site: SiteSummary, name: string): Promise<void> => {
      await answer(server.POST('/api/sites/{site}/copies', { params: pathOf(site), body: { name } }));
      await changed();
      toast(WORDS.didDuplicate(name));
    },
    remove: async (site: SiteSummary): Promise<void> => {
      await answer(
        server.DELETE('/api/sites/{site}', { params: { ...pathOf(site), query: { name: site.name } } }),
      );
      await changed();
      toast(WORDS.didRemove(site));
    },
  };
}

export type SiteCare = ReturnType<typeof useSiteCare>;
