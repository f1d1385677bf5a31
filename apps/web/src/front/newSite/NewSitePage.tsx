import { type GuideData, type Site, settingsOf } from '@cove/core';
import { createSite, neutralPictures, neutralSite, type SiteStarter } from '@cove/core/starters';
import { useMemo } from 'react';
import { Link, Navigate } from 'react-router';
import { RequestProblem } from '../../api/requestProblem.ts';
import { useSites } from '../../api/useSites.ts';
import { PageCanvas } from '../../canvas/pageCanvas.ts';
import { ScaledFrame } from '../../canvas/ScaledFrame.tsx';
import { Button } from '../../ui/Button.tsx';
import { SendProgress } from '../../wholeSite/SendProgress.tsx';
import { BriefFields } from './BriefFields.tsx';
import { Sources } from './Sources.tsx';
import { useNewSite } from './useNewSite.ts';

/** The drawings that a new site begins with, as they are before it has files. */
const drawn = new Map(
  neutralPictures().map(({ name, svg }) => [name, `data:image/svg+xml,${encodeURIComponent(svg)}`]),
);

/** A home page in the guide that the site will have, drawn from nothing but what the program ships. */
function Preview({ starter, guide, name }: { starter: SiteStarter; guide: GuideData; name: string }) {
  const site = useMemo(
    () => createSite(starter, name, file => drawn.get(file) ?? '', guide),
    [starter, guide, name],
  );
  return (
    <ScaledFrame
      key={`${starter.id} ${guide.name} ${keyOf(guide)}`}
      title={`Preview: ${starter.label}`}
      width={1280}
      onReady={(document, view) => {
        new PageCanvas(document, view, '', settingsOf(site).home).show(site, null);
        document.addEventListener('click', event => event.preventDefault());
        return undefined;
      }}
    />
  );
}

/** The home page of one’s own site as the new one will begin with it: made neutral, in the guide that is chosen. */
function OwnPreview({
  own,
  siteId,
  guide,
  name,
}: {
  own: Site;
  siteId: string;
  guide: GuideData | null;
  name: string;
}) {
  const site = useMemo(() => neutralSite(own, name, guide), [own, guide, name]);
  return (
    <ScaledFrame
      key={`${siteId} ${guide ? keyOf(guide) : ''}`}
      title="Preview: your site, made neutral"
      width={1280}
      onReady={(document, view) => {
        new PageCanvas(document, view, siteId, settingsOf(site).home).show(site, null);
        document.addEventListener('click', event => event.preventDefault());
        return undefined;
      }}
    />
  );
}

/** The home page of a whole site, with its pictures out of the file; fonts of its own come once it is created. */
function WholePreview({ site, home }: { site: Site; home: string }) {
  return (
    <ScaledFrame
      key={keyOf(site)}
      title="Preview: the site in the file"
      width={1280}
      onReady={(document, view) => {
        new PageCanvas(document, view, '', home).show(site, null);
        document.addEventListener('click', event => event.preventDefault());
        return undefined;
      }}
    />
  );
}

const keys = new WeakMap<GuideData | Site, number>();
let last = 0;
/** A frame is drawn once for each guide. */
const keyOf = (guide: GuideData | Site): number => {
  const known = keys.get(guide) ?? ++last;
  keys.set(guide, known);
  return known;
};

/** Starts a site: from a brand’s values, a guide, or a ready-made site, which is seen before it is created. */
export function NewSitePage() {
  const sites = useSites();
  const state = useNewSite();
  if (sites.error instanceof RequestProblem && sites.error.status === 401)
    return <Navigate to="/?to=%2Fnew" replace />;
  const { progress } = state.whole.sending;
  const shownName = state.name.trim() || 'New site';
  return (
    <div className="grid h-full grid-rows-[48px_minmax(0,1fr)] max-[860px]:grid-rows-[48px_auto]">
      <header className="flex items-center gap-4 border-b border-hair bg-paper px-4">
        <Link to="/" className="font-semibold hover:text-teal">
          Cove Thread
        </Link>
        <span className="text-muted">New site</span>
      </header>
      <main className="grid min-h-0 grid-cols-[minmax(0,1fr)_360px] max-[860px]:grid-cols-1">
        <section aria-label="Preview" className="flex min-h-60 min-w-0 flex-col gap-2 p-4">
          {state.source === 'whole' ? (
            state.whole.site && state.whole.home ? (
              <WholePreview site={state.whole.site} home={state.whole.home} />
            ) : (
              <p className="m-auto max-w-80 text-center text-muted">
                Open the file of a whole site at the right, and its home page appears here.
              </p>
            )
          ) : state.ownSite ? (
            state.ownSite.site && (state.guide || state.source === 'site') ? (
              <>
                <OwnPreview
                  own={state.ownSite.site}
                  siteId={state.ownSite.id}
                  guide={state.guide}
                  name={shownName}
                />
                <p className="text-small text-muted">
                  Its pages with neutral words. Pictures become neutral, too, once the site is created.
                </p>
              </>
            ) : (
              <p role="status" className="m-auto text-muted">
                {state.source === 'brand' && !state.guide
                  ? 'Type a colour of the brand at the right, and the page appears here in its guide.'
                  : 'Loading…'}
              </p>
            )
          ) : state.guide && state.shown ? (
            <>
              <Preview starter={state.shown} guide={state.guide} name={shownName} />
              <p className="text-small text-muted">
                {state.beginsEmpty
                  ? 'A sample page in this guide. The site itself begins with an empty page.'
                  : 'The home page of the site as it will begin.'}
              </p>
            </>
          ) : (
            <div className="grid flex-1 place-content-center text-center text-muted">
              <p className="max-w-80">
                Type a colour of the brand at the right, and a page in its guide appears here.
              </p>
            </div>
          )}
        </section>
        <aside aria-label="New site" className="flex min-h-0 flex-col border-l border-hair bg-paper">
          <div className="thin-scroll min-h-0 flex-1 overflow-auto px-5 pt-4">
            <h1 className="pb-3 text-[15px] font-semibold">New site</h1>
            <label className="grid gap-1 pb-3">
              <span className="label-line">Name</span>
              <input
                // biome-ignore lint/a11y/noAutofocus: the page is for nothing else
                autoFocus
                value={state.name}
                placeholder={state.source === 'whole' ? state.whole.name : ''}
                maxLength={80}
                onChange={event => state.setName(event.target.value)}
                onKeyDown={event => event.key === 'Enter' && void state.create()}
                className="h-8 rounded border border-hair bg-paper px-2.5"
              />
            </label>
            <Sources state={state} />
            {state.source !== 'whole' && <BriefFields state={state} />}
          </div>
          <div className="grid gap-1.5 border-t border-hair px-5 py-3">
            {state.problem && (
              <p role="alert" className="text-madder">
                {state.problem}
              </p>
            )}
            {progress && <SendProgress progress={progress} onStop={state.whole.sending.stop} />}
            <p className="flex items-center gap-3">
              <Button kind="main" className="h-8!" disabled={state.busy} onClick={() => void state.create()}>
                {state.busy ? 'Creating…' : 'Create site'}
              </Button>
              <span className="text-small text-muted">You can change all of it later</span>
            </p>
          </div>
        </aside>
      </main>
    </div>
  );
}
