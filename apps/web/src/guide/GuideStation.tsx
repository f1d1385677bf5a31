import { lazy, Suspense, useState } from 'react';
import { ChangeEffect } from '../guard/ChangeEffect.tsx';
import { Lock } from '../session/rights.tsx';
import { useCalmSite } from '../session/useCalmSite.ts';
import { StationPanes } from '../ui/StationPanes.tsx';
import { BesideSpecimen } from './BesideSpecimen.tsx';
import { type Middle, SpecimenBar } from './SpecimenBar.tsx';
import { Specimens } from './Specimens.tsx';
import { Tray } from './tray/Tray.tsx';
import { useGuideStation } from './useGuideStation.ts';
import { FIRST_VIEW } from './ViewMenu.tsx';
import { WORDS } from './words.ts';

const PageInView = lazy(async () => ({ default: (await import('./PageInView.tsx')).PageInView }));

/** The guide: its foundations at the left, every element in the middle, the bench at the right. */
export function GuideStation() {
  const site = useCalmSite();
  const station = useGuideStation(site);
  const [middle, setMiddle] = useState<Middle>('specimen');
  const [filter, setFilter] = useState('');
  const [view, setView] = useState(FIRST_VIEW);
  return (
    <StationPanes
      station="guide"
      left={{
        label: WORDS.tray,
        width: 232,
        least: 200,
        content: (
          <Lock unless="guide">
            <Tray
              site={site}
              open={station.token}
              onOpen={id => station.openBeside(id === null ? null : { token: id })}
              onPanel={station.openPanel}
            />
          </Lock>
        ),
      }}
      middle={{
        label: WORDS.specimen,
        content: (
          <section data-pane aria-label={WORDS.specimen} className="flex min-h-0 min-w-0 flex-col">
            <SpecimenBar
              site={site}
              station={station}
              middle={middle}
              onMiddle={setMiddle}
              filter={filter}
              onFilter={setFilter}
              view={view}
              onView={setView}
            />
            {middle === 'page' ? (
              <Suspense fallback={<p className="p-4 text-muted">{WORDS.loading}</p>}>
                <PageInView site={site} onSubject={station.open} />
              </Suspense>
            ) : (
              <Specimens site={site} station={station} filter={filter} view={view} />
            )}
            <ChangeEffect />
          </section>
        ),
      }}
      right={{
        label: WORDS.bench,
        width: 340,
        least: 280,
        content: (
          <aside data-pane aria-label={WORDS.bench} className="flex min-h-0 flex-col bg-paper">
            <Lock unless="guide">
              <BesideSpecimen site={site} station={station} />
            </Lock>
          </aside>
        ),
      }}
    />
  );
}
