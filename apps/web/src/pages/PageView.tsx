import {
  type Id,
  type PropertyRow,
  type Site,
  sectionsIn,
  settingsOf,
  viewportOf,
  WIDTHS,
  type Width,
} from '@cove/core';
import { lazy, Suspense, useCallback, useEffect, useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useStore } from 'zustand';
import { useStationActs } from '../acts/stationActs.tsx';
import { placeInWords, seamAt } from '../adding/place.ts';
import type { Additions } from '../adding/useAdditions.ts';
import { ChangeEffect } from '../guard/ChangeEffect.tsx';
import { Canvas } from '../onPage/Canvas.tsx';
import type { Selection } from '../onPage/useSelection.ts';
import { useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { openTable } from '../tables/openTable.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { TryPage } from './TryPage.tsx';
import type { Acts } from './useActs.ts';

const WidgetLibrary = lazy(async () => ({
  default: (await import('../adding/widgets/WidgetLibrary.tsx')).WidgetLibrary,
}));
const SectionLibrary = lazy(async () => ({
  default: (await import('../adding/sections/SectionLibrary.tsx')).SectionLibrary,
}));
const PageLibrary = lazy(async () => ({
  default: (await import('../adding/pages/PageLibrary.tsx')).PageLibrary,
}));

/** How much of the page stays in sight above and below the library, in px. */
const ABOVE = 96;
const BELOW = 56;

const TablePanel = lazy(async () => ({ default: (await import('../tables/TablePanel.tsx')).TablePanel }));

const NAMES: Record<Width, string> = { wide: 'Wide', medium: 'Medium', narrow: 'Narrow' };

const widthOf = (site: Site, px: number): Width => {
  const { mediumTo, narrowTo } = settingsOf(site);
  return px <= narrowTo ? 'narrow' : px <= mediumTo ? 'medium' : 'wide';
};

/** The open page in a window of one width, in all three, or as visitors use it. */
export function PageView({
  site,
  page,
  px,
  onPx,
  selection,
  acts,
  adding,
  box,
  onRich,
}: {
  site: Site;
  page: Id;
  px: number;
  onPx(px: number): void;
  selection: Selection;
  acts: Acts;
  adding: Additions;
  box: PropertyRow['box'] | null;
  onRich(): void;
}) {
  const session = useSession();
  const navigate = useNavigate();
  const mayChoose = useMay('choice');
  const mayWrite = useMay('content');
  const { situation, setSituation } = selection;
  const others = useMemo(() => selection.nodes.slice(1), [selection.nodes]);
  /** All widths side by side; what is set holds for the one that was clicked. */
  const [abreast, setAbreast] = useState(false);
  const [params, setParams] = useSearchParams();
  const table = useStore(openTable, it => it.table);
  // A table is open on the page on which it was asked for.
  useEffect(() => () => openTable.setState({ table: null }), []);
  /** It stands in the address, so that a link in the page leads on to the next one. */
  const trying = params.has('try');
  const { wanted, begin, place } = adding;
  const seam = useMemo(() => (place ? seamAt(site, place) : null), [site, place]);
  const addSection = useCallback((index: number) => begin({ what: 'section', index }), [begin]);
  const chooseWidth = (width: Width) => {
    onPx(viewportOf(site)[width]);
    setSituation({ ...situation, width });
  };
  useStationActs(
    useMemo(
      () => [
        {
          label: trying ? 'Stop trying the page' : 'Try the page as visitors do',
          words: 'preview hover links',
          run: () => setParams(trying ? {} : { try: '' }, { replace: true }),
        },
        { label: 'Show all widths side by side', words: 'wide medium narrow', run: () => setAbreast(true) },
      ],
      [trying, setParams],
    ),
  );
  const gridTemplateColumns = WIDTHS.map(it => `${viewportOf(site)[it] + 200}fr`).join(' ');
  /** The page in a window of a width; one of several stands for that width alone. */
  const canvas = (width: number, title: string, of: Width | null) =>
    trying ? (
      <TryPage site={site} page={page} width={width} title={title} />
    ) : (
      <Canvas
        page={page}
        width={width}
        onWidth={of === null ? onPx : null}
        at={of ?? situation.width}
        title={title}
        picked={selection.picked}
        others={others}
        state={situation.state}
        box={of === null || of === situation.width ? box : null}
        onPick={(hit, more) => {
          if (of !== null && of !== situation.width) setSituation({ ...situation, width: of });
          if (more && hit) selection.toggle(hit.node);
          else selection.pickOnPage(hit);
        }}
        onMove={mayChoose ? acts.move : null}
        onAddSection={mayChoose ? addSection : null}
        onRich={onRich}
        mayWrite={mayWrite}
        parted={wanted && of === null ? { seam, above: ABOVE, below: BELOW } : null}
      />
    );
  return (
    <section data-pane aria-label="Page" className="flex min-h-0 min-w-0 flex-col">
      <div className="flex h-10 items-center gap-4 px-6">
        <Choice<Width | 'all'>
          label="Width of the page"
          value={abreast ? 'all' : widthOf(site, px)}
          options={[
            ...WIDTHS.map(it => ({ value: it, label: NAMES[it] })),
            { value: 'all', label: 'All three' },
          ]}
          onChange={it => {
            setAbreast(it === 'all');
            if (it !== 'all') chooseWidth(it);
          }}
        />
        <Button
          className="ml-auto aria-pressed:font-semibold aria-pressed:text-teal"
          aria-pressed={trying}
          title="Use the page as visitors do: links, hover and what opens work"
          onClick={() => setParams(trying ? {} : { try: '' }, { replace: true })}
        >
          {trying ? 'Trying it: stop' : 'Try it'}
        </Button>
        {!abreast && (
          <label className="flex items-center gap-1 font-mono text-[12px] text-muted">
            <span className="sr-only">Width in px</span>
            <input
              type="number"
              min={240}
              max={2400}
              value={px}
              onChange={event =>
                event.target.valueAsNumber >= 240 &&
                event.target.valueAsNumber <= 2400 &&
                onPx(event.target.valueAsNumber)
              }
              className="h-6 w-16 rounded-sm border border-transparent bg-transparent px-1 text-right text-ink hover:border-hair"
            />
            px
          </label>
        )}
      </div>
      {abreast && !wanted ? (
        <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)]" style={{ gridTemplateColumns }}>
          {WIDTHS.map(width => (
            <div key={width} className="flex min-h-0 min-w-0 flex-col">
              <p
                className={`pl-[26px] ${width === situation.width ? 'font-semibold text-teal' : 'text-muted'}`}
              >
                {NAMES[width]}
              </p>
              {canvas(viewportOf(site)[width], `Page, ${width}`, width)}
            </div>
          ))}
        </div>
      ) : (
        <div className="relative flex min-h-0 flex-1 flex-col">
          {canvas(px, 'Page', null)}
          {wanted && (
            <div
              className="absolute inset-x-0 z-10"
              style={wanted.what === 'page' ? { top: 0, bottom: 0 } : { top: ABOVE, bottom: BELOW }}
            >
              {place && (
                <p className="pointer-events-none absolute inset-x-6 -top-6 flex items-center gap-3 font-semibold text-teal">
                  <span className="flex-1 border-t border-dashed border-teal" />
                  <span className="max-w-[75%] truncate rounded-sm bg-paper px-1.5">
                    Adds here: {placeInWords(site, place)}
                  </span>
                </p>
              )}
              <Suspense fallback={<p className="h-full bg-paper p-4 text-muted">Opening the library…</p>}>
                {wanted.what === 'widget' && (
                  <WidgetLibrary
                    site={site}
                    page={page}
                    selection={selection}
                    addable={acts.addable}
                    adding={adding}
                    onSection={mayChoose ? () => addSection(sectionsIn(site, page, 'main').length) : null}
                  />
                )}
                {wanted.what === 'section' && (
                  <SectionLibrary
                    site={site}
                    page={page}
                    index={wanted.index}
                    adding={adding}
                    onAdded={selection.pickNode}
                    onWidget={() => begin({ what: 'widget' })}
                  />
                )}
                {wanted.what === 'page' && (
                  <PageLibrary
                    site={site}
                    page={page}
                    adding={adding}
                    onAdded={id => void navigate(`/sites/${session.id}/pages/${id}`)}
                  />
                )}
              </Suspense>
            </div>
          )}
          {mayChoose && !trying && !wanted && sectionsIn(site, page, 'main').length === 0 && (
            <div className="pointer-events-none absolute inset-0 grid place-items-center">
              <div className="pointer-events-auto grid justify-items-center gap-2 rounded-md border border-hair bg-paper px-5 py-4">
                <p>This page is empty.</p>
                <Button kind="main" onClick={() => addSection(0)}>
                  Add a section…
                </Button>
              </div>
            </div>
          )}
        </div>
      )}
      {table !== null && mayWrite && !trying && (
        <Suspense fallback={<p className="px-6 py-2 text-muted">Opening the table…</p>}>
          <TablePanel site={site} table={table} />
        </Suspense>
      )}
      <ChangeEffect />
    </section>
  );
}
