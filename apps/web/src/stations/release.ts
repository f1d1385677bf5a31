import { unpublishedIn, useReleases } from '../api/useReleases.ts';
import { useSession, useSessionState } from '../session/context.tsx';
import type { Station, StationCount } from './station.ts';

/** Changes that visitors do not see yet, where they see anything. */
function useUnpublished(): StationCount | null {
  const { data } = useReleases(useSession().id);
  const seq = useSessionState(state => state.seq);
  const releases = data?.releases ?? [];
  const count = unpublishedIn(releases, seq);
  if (count === 0 || !releases.some(it => it.live)) return null;
  return { count, words: count === 1 ? '1 unpublished change' : `${count} unpublished changes` };
}

export const release: Station<'release'> = {
  name: 'release',
  label: 'Release',
  open: { label: 'Open the releases', words: 'station publish' },
  useCount: useUnpublished,
  paths: ['release'],
  load: async () => (await import('../release/ReleaseStation.tsx')).ReleaseStation,
};
