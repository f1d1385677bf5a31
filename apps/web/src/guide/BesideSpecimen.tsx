import { elementNamed, nameOf, type Site } from '@cove/core';
import { lazy, Suspense } from 'react';
import { Bench } from '../bench/Bench.tsx';
import type { PathStep } from '../bench/BenchHead.tsx';
import type { Subject } from '../bench/subject.ts';
import { Term } from '../glossary/Term.tsx';
import { PresetPanel } from './PresetPanel.tsx';
import { SchemePanel } from './scheme/SchemePanel.tsx';
import { TextStylePanel } from './TextStylePanel.tsx';
import type { GuideStationState } from './useGuideStation.ts';
import { WORDS } from './words.ts';

const GroundPanel = lazy(async () => ({ default: (await import('./GroundPanel.tsx')).GroundPanel }));
const GuidesPanel = lazy(async () => ({ default: (await import('./guides/GuidesPanel.tsx')).GuidesPanel }));

/** The way down to what is on the bench. */
function pathTo(site: Site, subject: Subject): readonly PathStep[] {
  switch (subject.type) {
    case 'element':
      return [
        { id: 'elements', label: WORDS.elements },
        { id: 'element', label: elementNamed(subject.element).label },
        { id: 'scheme', label: WORDS.on(nameOf(site, subject.scheme)) },
      ];
    case 'preset':
      return [
        { id: 'presets', label: WORDS.presets },
        { id: 'preset', label: nameOf(site, subject.preset) },
      ];
    case 'node':
      return [];
  }
}

/** What is picked in the guide, or open beside it: the bench, a scheme, a text style, the site's ground, other guides. */
function Chosen({
  site,
  station: { beside, open, openBeside },
}: {
  site: Site;
  station: Pick<GuideStationState, 'beside' | 'open' | 'openBeside'>;
}) {
  const close = () => openBeside(null);
  switch (beside.type) {
    case 'guides':
      return <GuidesPanel key={beside.reset} site={site} reset={beside.reset} onClose={close} />;
    case 'ground':
      return <GroundPanel site={site} onClose={close} />;
    case 'scheme':
      return (
        <SchemePanel
          key={beside.scheme.id}
          site={site}
          scheme={beside.scheme}
          onOpen={id => openBeside(id === null ? null : { scheme: id })}
        />
      );
    case 'style':
      return (
        <TextStylePanel
          key={beside.style.id}
          site={site}
          style={beside.style}
          onOpen={id => openBeside(id === null ? null : { style: id })}
        />
      );
    case 'bench':
      return (
        <div className="min-h-0 flex-1">
          <Bench subject={beside.subject} onSubject={open} path={pathTo(site, beside.subject)} />
        </div>
      );
    case 'nothing':
      return (
        <p className="p-4 text-muted">
          Click a cell of the <Term word="Specimen">specimen</Term>, or walk to one with the arrow keys and
          press Enter: what you set here holds for every such element.
        </p>
      );
  }
}

/** The right side of the guide. */
export function BesideSpecimen({
  site,
  station,
}: {
  site: Site;
  station: Pick<GuideStationState, 'beside' | 'open' | 'openBeside' | 'preset' | 'openPreset'>;
}) {
  return (
    <>
      {station.preset !== null && (
        <PresetPanel key={station.preset} site={site} preset={station.preset} onOpen={station.openPreset} />
      )}
      <Suspense fallback={<p className="p-4 text-muted">{WORDS.loading}</p>}>
        <Chosen site={site} station={station} />
      </Suspense>
    </>
  );
}
