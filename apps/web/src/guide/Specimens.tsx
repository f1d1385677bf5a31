import type { Site } from '@cove/core';
import { useMemo } from 'react';
import { ScrollTogether } from '../canvas/scrollTogether.ts';
import { useBeside } from './guides/useBeside.ts';
import { Specimen } from './Specimen.tsx';
import type { GuideStationState } from './useGuideStation.ts';
import type { View } from './ViewMenu.tsx';
import { WORDS } from './words.ts';

const AT_LEFT = 'auto-cols-[minmax(0,1fr)] grid-flow-col grid-rows-[minmax(0,1fr)]';
const ABOVE = 'auto-rows-[minmax(0,1fr)] grid-cols-[minmax(0,1fr)]';

/** The specimen, and another guide's beside it where that is wanted; both scroll together. */
export function Specimens({
  site,
  station: { across, scheme, marked, opened, pick },
  filter,
  view,
}: {
  site: Site;
  station: Pick<GuideStationState, 'across' | 'scheme' | 'marked' | 'opened' | 'pick'>;
  filter: string;
  view: View;
}) {
  const beside = useBeside(view.beside, opened);
  const together = useMemo(() => new ScrollTogether('.row', 'data-anchor'), []);
  const isAtLeft = view.stands === 'left';
  const shared = { together, across, scheme, filter, view, onHit: pick };
  return (
    <div className={`grid min-h-0 flex-1 ${isAtLeft ? AT_LEFT : ABOVE}`}>
      {view.beside !== '' && (
        <div className={`flex min-h-0 flex-col border-hair ${isAtLeft ? 'border-r-2' : 'border-b-2'}`}>
          <p role="status" className="px-3 py-1 text-muted">
            {view.beside === 'before' ? WORDS.asOpened : beside ? WORDS.inTheOther : WORDS.working}
          </p>
          {beside && (
            <Specimen
              key={view.beside}
              title={WORDS.specimenBeside}
              site={beside}
              frozen
              chosen={null}
              {...shared}
            />
          )}
        </div>
      )}
      <Specimen site={site} chosen={marked} {...shared} />
    </div>
  );
}
