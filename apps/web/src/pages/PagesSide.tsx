import { type Id, type Site, sectionsIn, withArticle } from '@cove/core';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { useStationActs } from '../acts/stationActs.tsx';
import type { Additions } from '../adding/useAdditions.ts';
import { Hint } from '../hints/Hint.tsx';
import type { Selection } from '../onPage/useSelection.ts';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Outline } from './Outline.tsx';
import { PageTree } from './PageTree.tsx';
import { StillMissing } from './StillMissing.tsx';
import type { Acts } from './useActs.ts';

const PageSheet = lazy(async () => ({ default: (await import('./PageSheet.tsx')).PageSheet }));
const PictureLibrary = lazy(async () => ({
  default: (await import('../pictures/PictureLibrary.tsx')).PictureLibrary,
}));
const Overrides = lazy(async () => ({ default: (await import('./Overrides.tsx')).Overrides }));

/** The pages, what stands on the open one, and what can be done with what is picked of it. */
export function PagesSide({
  site,
  page,
  selection,
  acts,
  adding,
}: {
  site: Site;
  page: Id;
  selection: Selection;
  acts: Acts;
  adding: Additions;
}) {
  const mayContent = useMay('content');
  const mayChoose = useMay('choice');
  const [listed, setListed] = useState(false);
  const [about, setAbout] = useState(false);
  const [pictures, setPictures] = useState(false);
  const record = site.kinds.page.get(page);
  const { can } = acts;
  const { begin } = adding;
  const addWidget = useCallback(() => begin({ what: 'widget' }), [begin]);
  const addSection = useCallback(
    () => begin({ what: 'section', index: sectionsIn(site, page, 'main').length }),
    [site, page, begin],
  );
  useStationActs(
    useMemo(
      () => [
        {
          label: 'List the overrides of this page and of the site',
          words: 'knots reset',
          run: () => setListed(true),
        },
        {
          label: 'Pictures of the site',
          words: 'images photos library upload files alt text replace',
          run: () => setPictures(true),
        },
        {
          label: 'Page settings',
          words: 'title address description settings header sidebar footer',
          run: () => setAbout(true),
        },
        ...(mayChoose
          ? [
              {
                label: 'Add a section at the end',
                words: 'library ready',
                run: addSection,
              },
            ]
          : []),
        ...(mayContent ? [{ label: 'Add a widget…', words: 'library insert new', run: addWidget }] : []),
        ...acts.addable.map(widget => ({
          label: `Add ${withArticle(widget.label)}`,
          words: `widget ${widget.family}`,
          run: () => acts.addWidgetOf(widget.name),
        })),
        ...(can.duplicate ? [{ label: 'Duplicate the selection', keys: 'Ctrl+D', run: acts.duplicate }] : []),
        ...(can.remove ? [{ label: 'Delete the selection', keys: 'Delete', run: () => acts.remove() }] : []),
        ...(can.group ? [{ label: 'Group the selection', keys: 'Ctrl+G', run: acts.group }] : []),
        ...(can.join ? [{ label: 'Join the selection', words: 'texts sections one', run: acts.join }] : []),
        ...(can.part
          ? [{ label: 'Split the section before this', words: 'two sections part', run: acts.part }]
          : []),
        ...(can.ungroup ? [{ label: 'Ungroup it', keys: 'Ctrl+Shift+G', run: acts.ungroup }] : []),
      ],
      [mayChoose, mayContent, addSection, addWidget, acts, can],
    ),
  );
  return (
    <aside data-pane aria-label="Pages and outline" className="flex min-h-0 flex-col bg-paper">
      <PageTree
        site={site}
        page={page}
        onAdd={() => begin({ what: 'page' })}
        onSettings={() => setAbout(true)}
      />
      <div className="thin-scroll min-h-0 flex-1 overflow-auto py-3">
        <h2 className="flex items-baseline px-3.5 pb-1">
          <span className="label-line mr-auto">On this page</span>
          <Button kind="link" className="h-5! text-small" onClick={() => setListed(true)}>
            Overrides…
          </Button>
        </h2>
        <Outline
          site={site}
          page={page}
          selection={selection}
          acts={acts}
          fixed={!mayContent}
          about={adding.place}
        />
      </div>
      <StillMissing site={site} />
      {mayContent && (
        <div className="grid gap-1 border-t border-hair px-3.5 py-2">
          <div className="flex gap-1">
            <Button kind="line" className="flex-1 text-teal!" onClick={addWidget}>
              Add a widget…
            </Button>
            {mayChoose && (
              <Button kind="line" className="text-teal!" onClick={addSection}>
                Section
              </Button>
            )}
          </div>
          <div className="-ml-2 flex flex-wrap">
            <Button disabled={!can.duplicate} title="Ctrl+D" onClick={acts.duplicate}>
              Duplicate
            </Button>
            <Button disabled={!can.remove} title="Delete" onClick={() => acts.remove()}>
              Delete
            </Button>
            {can.join && (
              <Button title="Make one of the selected texts or sections" onClick={acts.join}>
                Join
              </Button>
            )}
            {can.part && (
              <Button title="This and all below it become a section of their own" onClick={acts.part}>
                Split here
              </Button>
            )}
            {can.ungroup ? (
              <Button title="Ctrl+Shift+G" onClick={acts.ungroup}>
                Ungroup
              </Button>
            ) : (
              <Button disabled={!can.group} title="Ctrl+G" onClick={acts.group}>
                Group
              </Button>
            )}
          </div>
          <Button kind="link" className="h-5! justify-self-start" onClick={() => setPictures(true)}>
            Pictures of the site…
          </Button>
          {selection.nodes.length > 1 ? (
            <p className="text-small text-muted">
              {selection.nodes.length} selected. Changes apply to all of them.
            </p>
          ) : (
            <Hint name="outline">
              Double-click text to edit it. Alt + arrow keys move the selection, Shift extends it.
            </Hint>
          )}
        </div>
      )}
      {about && record && (
        <Suspense>
          <PageSheet site={site} page={record} onClose={() => setAbout(false)} />
        </Suspense>
      )}
      {pictures && (
        <Suspense>
          <PictureLibrary site={site} onClose={() => setPictures(false)} />
        </Suspense>
      )}
      {listed && (
        <Suspense>
          <Overrides site={site} page={page} onClose={() => setListed(false)} />
        </Suspense>
      )}
    </aside>
  );
}
