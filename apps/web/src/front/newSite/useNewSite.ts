import type { GuideData } from '@cove/core';
import { READY_GUIDES, readyGuide, SITE_STARTERS, type SiteStarter } from '@cove/core/starters';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, type Dto, server } from '../../api/client.ts';
import { problemText } from '../../api/problemText.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import { useBrand } from './useBrand.ts';

export type Source = 'brand' | 'guide' | 'site';
export type ChosenGuide = { type: 'ready' | 'kept'; id: string };

const BARE = 'bare';
/** Ready sites that have pages to show. */
export const FULL_STARTERS: readonly SiteStarter[] = SITE_STARTERS.filter(it => it.id !== BARE);
const bare = SITE_STARTERS.find(it => it.id === BARE);

/** A new site on its way: what it is called, where its guide comes from, and which pages it begins with. */
export function useNewSite() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [source, setSource] = useState<Source>('brand');
  const [chosen, setChosen] = useState<ChosenGuide>({ type: 'ready', id: READY_GUIDES[0]?.id ?? '' });
  const [starterId, setStarter] = useState(FULL_STARTERS[0]?.id ?? BARE);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const brand = useBrand(name, source === 'brand');
  const kept = useQuery({ queryKey: queryKeys.guides, queryFn: () => answer(server.GET('/api/guides')) });
  const keptId = source === 'guide' && chosen.type === 'kept' ? chosen.id : null;
  const opened = useQuery({
    queryKey: [...queryKeys.guides, keptId],
    queryFn: () => answer(server.GET('/api/guides/{guide}', { params: { path: { guide: keptId ?? '' } } })),
    enabled: keptId !== null,
  });
  /** Pages that the site itself begins with. */
  const starter = (source === 'site' ? SITE_STARTERS.find(it => it.id === starterId) : bare) ?? bare;
  const spec = READY_GUIDES.find(it => it.id === chosen.id);
  const guide = useMemo((): GuideData | null => {
    if (source === 'brand') return brand.guide;
    if (source === 'site') return starter ? readyGuide(starter.guide) : null;
    if (chosen.type === 'kept') return opened.data ?? null;
    return spec ? readyGuide(spec) : null;
  }, [source, brand.guide, starter, chosen.type, opened.data, spec]);

  const create = async () => {
    setProblem(null);
    if (name.trim() === '') {
      setProblem('Enter a site name.');
      return;
    }
    if (source === 'brand' && brand.brand.swatches.length === 0) {
      setProblem('Enter at least one colour of the brand, or start from a guide.');
      return;
    }
    setBusy(true);
    try {
      const body: Dto['NewSiteDto'] = {
        name,
        starter: starter?.id ?? BARE,
        ...(source === 'brand' && { brand: { ...brand.brand } }),
        ...(source === 'guide' &&
          (chosen.type === 'kept' ? { keptGuide: chosen.id } : { readyGuide: chosen.id })),
      };
      const { id } = await answer(server.POST('/api/sites', { body }));
      await queries.invalidateQueries({ queryKey: queryKeys.sites });
      void navigate(`/sites/${id}/guide`);
    } catch (error) {
      setProblem(problemText(error));
    } finally {
      setBusy(false);
    }
  };
  return {
    name,
    setName,
    source,
    setSource,
    brand,
    kept: kept.data ?? [],
    chosen,
    setChosen,
    starterId,
    setStarter,
    /** What the preview shows: the pages of a ready site where the new one begins with none. */
    shown: starter && starter.id !== BARE ? starter : (FULL_STARTERS[0] ?? null),
    beginsEmpty: starter?.id === BARE,
    guide,
    problem,
    busy,
    create,
  };
}
export type NewSiteState = ReturnType<typeof useNewSite>;
