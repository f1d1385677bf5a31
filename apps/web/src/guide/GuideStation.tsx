import {
  elementNamed,
  FOUNDATIONS,
  firstPart,
  type Id,
  nameOf,
  partOf,
  type SpecimenRow,
  schemesInOrder,
  settingsOf,
  specimenRows,
} from '@cove/core';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Bench } from '../bench/Bench.tsx';
import type { ElementSubject, Subject } from '../bench/subject.ts';
import { ScrollTogether } from '../canvas/scrollTogether.ts';
import { Term } from '../glossary/Term.tsx';
import { ChangeEffect } from '../guard/ChangeEffect.tsx';
import { Lock } from '../session/rights.tsx';
import { useCalmSite } from '../session/useCalmSite.ts';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';
import { StationPanes } from '../ui/StationPanes.tsx';
import { subjectAddress, subjectIn } from './guideAddress.ts';
import { useBeside } from './guides/useBeside.ts';
import { PresetPanel } from './PresetPanel.tsx';
import { type Across, columnsFor, Specimen } from './Specimen.tsx';
import { SchemePanel } from './scheme/SchemePanel.tsx';
import type { Hit } from './specimenDocument.ts';
import { TextStylePanel } from './TextStylePanel.tsx';
import { type Panel, Tray } from './tray/Tray.tsx';
import { FIRST_VIEW, ViewMenu } from './ViewMenu.tsx';

const PageInView = lazy(async () => ({ default: (await import('./PageInView.tsx')).PageInView }));
const GroundPanel = lazy(async () => ({ default: (await import('./GroundPanel.tsx')).GroundPanel }));
const GuidesPanel = lazy(async () => ({ default: (await import('./guides/GuidesPanel.tsx')).GuidesPanel }));

/** The row in which an element shows that wears some variants: the one that wears as many of them as any. */
function rowOf(rows: readonly SpecimenRow[], { element, variants }: ElementSubject): string {
  let best = { row: element, alike: 0 };
  for (const row of rows) {
    if (row.element.name !== element) continue;
    const alike = Object.values(row.variants).filter(id => variants.includes(id)).length;
    if (alike > best.alike) best = { row: row.id, alike };
  }
  return best.row;
}

/** Names in the address of what is open beside the bench, one at a time. */
const BESIDE = ['token', 'preset', 'scheme', 'role', 'style', 'guides', 'ground'];

/** What is picked shows at once: the next key may already mean it. */
const AT_ONCE = { replace: true, flushSync: true } as const;

/** The cell of the specimen in which a subject shows. */
const cellOf = (rows: readonly SpecimenRow[], across: Across, subject: ElementSubject) => ({
  row: rowOf(rows, subject),
  column: { schemes: subject.scheme, widths: subject.width, states: subject.state }[across],
});

/** The guide: its foundations at the left, every element in the middle, the bench at the right. */
export function GuideStation() {
  const site = useCalmSite();
  const [params, setParams] = useSearchParams();
  const [across, setAcross] = useState<Across>('schemes');
  const [scheme, setScheme] = useState(settingsOf(site).defaultScheme);
  const [filter, setFilter] = useState('');
  const [view, setView] = useState(FIRST_VIEW);
  const [middle, setMiddle] = useState<'specimen' | 'page'>('specimen');
  const first = useRef(site);
  const beside = useBeside(view.beside, first.current);
  const together = useMemo(() => new ScrollTogether('.row', 'data-anchor'), []);

  const rows = useMemo(() => specimenRows(site), [site]);
  const guides = params.has('guides');
  const ground = params.has('ground');
  const wantedScheme = params.has('role') ? settingsOf(site).defaultScheme : params.get('scheme');
  const openScheme = site.kinds.scheme.get(wantedScheme ?? '');
  const openStyle = site.kinds.textStyle.get(params.get('style') ?? '');
  const subject = useMemo(() => subjectIn(params, site, scheme), [params, site, scheme]);
  const preset = subject?.type === 'preset' ? subject.preset : null;
  const chosen = useMemo(
    () => (subject?.type === 'element' ? cellOf(rows, across, subject) : null),
    [subject, rows, across],
  );
  const open = (next: Subject) => {
    if (next.type !== 'node') setParams(subjectAddress(next), AT_ONCE);
  };

  const onHit = ({ row: rowId, column: columnId, part, variants }: Hit) => {
    const row = rows.find(it => it.id === rowId);
    const column = columnsFor(site, across, scheme).find(it => it.id === columnId);
    if (!row || !column) return;
    // The first click picks the element as a whole, a further one the part under the pointer.
    const again =
      subject?.type === 'element' &&
      chosen?.row === rowId &&
      chosen.column === columnId &&
      subject.variants.join() === variants.join();
    open({
      type: 'element',
      element: row.element.name,
      variants,
      scheme: column.scheme,
      target: variants.at(-1) ?? null,
      part: again && partOf(row.element, part) ? part : firstPart(row.element),
      state: column.state,
      width: column.width,
    });
  };

  /** Opens something beside what is on the bench, or closes it: what was on the bench is there again after it. */
  const openBeside = (panel: Panel | { token: Id } | null) =>
    setParams(
      now => {
        const next = new URLSearchParams(now);
        for (const name of BESIDE) next.delete(name);
        for (const [name, value] of Object.entries(panel ?? {})) next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const openPanel = (panel: Panel) => ('preset' in panel ? setParams(panel) : openBeside(panel));

  return (
    <StationPanes
      station="guide"
      left={{
        label: 'Tray',
        width: 232,
        least: 200,
        content: (
          <Lock unless="guide">
            <Tray
              site={site}
              open={params.get('token')}
              onOpen={id => openBeside(id === null ? null : { token: id })}
              onPanel={openPanel}
            />
          </Lock>
        ),
      }}
      middle={{
        label: 'Specimen',
        content: (
          <section data-pane aria-label="Specimen" className="flex min-h-0 min-w-0 flex-col">
            <div className="flex min-h-10 flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair px-3 py-1">
              <Choice<'specimen' | 'page'>
                label="In the middle"
                value={middle}
                options={[
                  { value: 'specimen', label: 'Specimen' },
                  { value: 'page', label: 'Page' },
                ]}
                onChange={setMiddle}
              />
              {middle === 'specimen' && (
                <>
                  <span className="ml-1 border-l border-hair pl-3 text-muted">across</span>
                  <Choice<Across>
                    label="Columns"
                    value={across}
                    options={[
                      { value: 'schemes', label: 'Schemes' },
                      { value: 'widths', label: 'Widths' },
                      { value: 'states', label: 'States' },
                    ]}
                    onChange={next => {
                      setAcross(next);
                      setView({ ...view, without: new Set() });
                    }}
                  />
                  {across !== 'schemes' && (
                    <Select
                      hideLabel
                      label="Scheme"
                      value={scheme}
                      options={schemesInOrder(site).map(it => ({ value: it.id, label: `on ${it.name}` }))}
                      onChange={setScheme}
                    />
                  )}
                  <input
                    type="search"
                    aria-label="Filter rows"
                    placeholder="Filter rows"
                    value={filter}
                    onChange={event => setFilter(event.target.value)}
                    className="ml-auto h-6 w-24 rounded-sm border border-hair bg-paper px-1.5"
                  />
                  <ViewMenu view={view} columns={columnsFor(site, across, scheme)} onChange={setView} />
                </>
              )}
            </div>
            {middle === 'page' ? (
              <Suspense fallback={<p className="p-4 text-muted">Loading…</p>}>
                <PageInView site={site} onSubject={open} />
              </Suspense>
            ) : (
              <div
                className={`grid min-h-0 flex-1 ${view.stands === 'left' ? 'auto-cols-[minmax(0,1fr)] grid-flow-col grid-rows-[minmax(0,1fr)]' : 'auto-rows-[minmax(0,1fr)] grid-cols-[minmax(0,1fr)]'}`}
              >
                {view.beside !== '' && (
                  <div
                    className={`flex min-h-0 flex-col border-hair ${view.stands === 'left' ? 'border-r-2' : 'border-b-2'}`}
                  >
                    <p role="status" className="px-3 py-1 text-muted">
                      {view.beside === 'before'
                        ? 'When you opened it'
                        : beside
                          ? 'In the other guide'
                          : 'Calculating…'}
                    </p>
                    {beside && (
                      <Specimen
                        key={view.beside}
                        title="Specimen beside"
                        site={beside}
                        together={together}
                        frozen
                        across={across}
                        scheme={scheme}
                        filter={filter}
                        view={view}
                        chosen={null}
                        onHit={onHit}
                      />
                    )}
                  </div>
                )}
                <Specimen
                  site={site}
                  together={together}
                  across={across}
                  scheme={scheme}
                  filter={filter}
                  view={view}
                  chosen={openScheme || openStyle || guides || ground ? null : chosen}
                  onHit={onHit}
                />
              </div>
            )}
            <ChangeEffect />
          </section>
        ),
      }}
      right={{
        label: 'Bench',
        width: 340,
        least: 280,
        content: (
          <aside data-pane aria-label="Bench" className="flex min-h-0 flex-col bg-paper">
            <Lock unless="guide">
              {preset && (
                <PresetPanel
                  key={preset}
                  site={site}
                  preset={preset}
                  onOpen={id => setParams(id === null ? {} : { preset: id })}
                />
              )}
              {guides ? (
                <Suspense fallback={<p className="p-4 text-muted">Loading…</p>}>
                  <GuidesPanel
                    key={params.get('guides')}
                    site={site}
                    reset={FOUNDATIONS.find(it => it === params.get('guides')) ?? null}
                    onClose={() => openBeside(null)}
                  />
                </Suspense>
              ) : ground ? (
                <Suspense fallback={<p className="p-4 text-muted">Loading…</p>}>
                  <GroundPanel site={site} onClose={() => openBeside(null)} />
                </Suspense>
              ) : openScheme ? (
                <SchemePanel
                  key={openScheme.id}
                  site={site}
                  scheme={openScheme}
                  onOpen={id => openBeside(id === null ? null : { scheme: id })}
                />
              ) : openStyle ? (
                <TextStylePanel
                  key={openStyle.id}
                  site={site}
                  style={openStyle}
                  onOpen={id => openBeside(id === null ? null : { style: id })}
                />
              ) : subject ? (
                <div className="min-h-0 flex-1">
                  <Bench
                    subject={subject}
                    onSubject={open}
                    path={
                      subject.type === 'element'
                        ? [
                            { id: 'elements', label: 'Elements' },
                            { id: 'element', label: elementNamed(subject.element).label },
                            { id: 'scheme', label: `on ${nameOf(site, subject.scheme)}` },
                          ]
                        : [
                            { id: 'presets', label: 'Presets' },
                            {
                              id: 'preset',
                              label: subject.type === 'preset' ? nameOf(site, subject.preset) : '',
                            },
                          ]
                    }
                  />
                </div>
              ) : (
                <p className="p-4 text-muted">
                  Click a cell of the <Term word="Specimen">specimen</Term>, or walk to one with the arrow
                  keys and press Enter: what you set here holds for every such element.
                </p>
              )}
            </Lock>
          </aside>
        ),
      }}
    />
  );
}
