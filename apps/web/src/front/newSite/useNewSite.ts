import { type GuideData, siteOf } from '@cove/core';
import { READY_GUIDES, readyGuide, SITE_STARTERS, type SiteStarter } from '@cove/core/starters';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, type Dto, server } from '../../api/client.ts';
import { problemText } from '../../api/problemText.ts';
import { queryKeys } from '../../api/queryKeys.ts';
import { useSites } from '../../api/useSites.ts';
import { useBrand } from './useBrand.ts';
import { useWholeSource } from './useWholeSource.ts';

export type Source = 'brand' | 'guide' | 'site' | 'whole';
export type ChosenGuide = { type: 'ready' | 'kept'; id: string };

/** Whose pages a site begins with: none, those of a ready-made site, or those of one’s own, made neutral. */
export type Pages = { type: 'ready' | 'own'; id: string };

const BARE = 'bare';
const NO_PAGES: Pages = { type: 'ready', id: BARE };
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
  /** Where the guide is of another source, and where the pages are what is chosen. */
  const [pages, setPages] = useState<Pages>(NO_PAGES);
  const [chosenSite, setChosenSite] = useState<Pages>({ type: 'ready', id: FULL_STARTERS[0]?.id ?? BARE });
  const [brief, setBrief] = useState<Required<Dto['BriefDto']>>({
    character: '',
    audience: '',
    visitors: '',
    missing: [],
  });
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const brand = useBrand(name, source === 'brand');
  const whole = useWholeSource();
  const kept = useQuery({ queryKey: queryKeys.guides, queryFn: () => answer(server.GET('/api/guides')) });
  const keptId = source === 'guide' && chosen.type === 'kept' ? chosen.id : null;
  const opened = useQuery({
    queryKey: [...queryKeys.guides, keptId],
    queryFn: () => answer(server.GET('/api/guides/{guide}', { params: { path: { guide: keptId ?? '' } } })),
    enabled: keptId !== null,
  });
  const own = useSites().data?.filter(it => it.role === 'designer' && !it.archived) ?? [];
  /** Pages that the site itself begins with. */
  const begun = source === 'site' ? chosenSite : pages;
  const ownId = begun.type === 'own' ? begun.id : null;
  const ownRecords = useQuery({
    queryKey: ['site as a beginning', ownId],
    queryFn: () => answer(server.GET('/api/sites/{site}', { params: { path: { site: ownId ?? '' } } })),
    enabled: ownId !== null,
  });
  const ownSite = useMemo(
    () => (ownId !== null && ownRecords.data ? siteOf(ownRecords.data.records) : null),
    [ownId, ownRecords.data],
  );
  const starter = (begun.type === 'ready' && SITE_STARTERS.find(it => it.id === begun.id)) || bare;
  const spec = READY_GUIDES.find(it => it.id === chosen.id);
  const guide = useMemo((): GuideData | null => {
    if (source === 'whole') return null;
    if (source === 'brand') return brand.guide;
    if (source === 'site') return starter && ownId === null ? readyGuide(starter.guide) : null;
    if (chosen.type === 'kept') return opened.data ?? null;
    return spec ? readyGuide(spec) : null;
  }, [source, brand.guide, starter, ownId, chosen.type, opened.data, spec]);

  const goTo = async (id: string) => {
    await queries.invalidateQueries({ queryKey: queryKeys.sites });
    void navigate(`/sites/${id}/guide`);
  };
  const create = async () => {
    setProblem(null);
    if (source === 'whole') {
      setProblem(whole.problem);
      const made = whole.problem === null && (await whole.create(name.trim() || whole.name));
      if (made) await goTo(made.id);
      return;
    }
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
        ...(ownId !== null && { ownSite: ownId }),
        brief: { ...brief, missing: brief.missing.filter(it => it.trim() !== '') },
        ...(source === 'brand' && { brand: { ...brand.brand } }),
        ...(source === 'guide' &&
          (chosen.type === 'kept' ? { keptGuide: chosen.id } : { readyGuide: chosen.id })),
      };
      const { id } = await answer(server.POST('/api/sites', { body }));
      await goTo(id);
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
    whole,
    kept: kept.data ?? [],
    chosen,
    setChosen,
    pages,
    setPages,
    chosenSite,
    setChosenSite,
    /** Sites of one’s own that can be begun from. */
    own,
    /** The one that is chosen, once it has been read. */
    ownSite: ownId === null ? null : { id: ownId, site: ownSite },
    brief,
    setBrief,
    /** What the preview shows: the pages of a ready site where the new one begins with none. */
    shown: starter && starter.id !== BARE ? starter : (FULL_STARTERS[0] ?? null),
    beginsEmpty: ownId === null && starter?.id === BARE,
    guide,
    problem: problem ?? (source === 'whole' ? whole.sending.problem : null),
    busy: busy || whole.sending.progress !== null,
    create,
  };
}
export type NewSiteState = ReturnType<typeof useNewSite>;
