import { CHECKS } from '@cove/core';
import { useDeferredValue } from 'react';
import { useCheck } from '../checks/useCheck.ts';
import { useCalmSite } from '../session/useCalmSite.ts';
import type { Station, StationCount } from './station.ts';

/** Roles that cannot be read on what they stand on. */
function useUnreadable(): StationCount | null {
  const { found } = useCheck(CHECKS.contrast, useDeferredValue(useCalmSite()));
  // A role may fail on several grounds.
  const count = new Set(found.map(({ facts }) => `${facts.scheme} ${facts.role}`)).size;
  return count === 0
    ? null
    : {
        count,
        words:
          count === 1 ? '1 role below the required contrast' : `${count} roles below the required contrast`,
      };
}

export const guide: Station<'guide'> = {
  name: 'guide',
  label: 'Guide',
  open: { label: 'Open the guide', words: 'station specimen' },
  useCount: useUnreadable,
  paths: ['guide'],
  load: async () => (await import('../guide/GuideStation.tsx')).GuideStation,
};
