import { CHECKS } from '@cove/core';
import { useDeferredValue } from 'react';
import { useCheck } from '../checks/useCheck.ts';
import { useSite } from '../session/context.tsx';
import type { Station, StationCount } from './station.ts';

/** Roles that cannot be read on what they stand on. */
function useUnreadable(): StationCount | null {
  const { length: count } = useCheck(CHECKS.contrast, useDeferredValue(useSite())).found;
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
