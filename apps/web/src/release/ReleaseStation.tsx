import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { answer, type Dto, server } from '../api/client.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import type { Release } from '../api/types.ts';
import { unpublishedIn, useReleases } from '../api/useReleases.ts';
import { useOpened, useSessionState, useSite } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { FailedRelease } from './FailedRelease.tsx';
import { GuideExport } from './GuideExport.tsx';
import { ReplaceSheet } from './replace/ReplaceSheet.tsx';

const working = (it: Release) => it.state === 'waiting' || it.state === 'making';
const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const showError = (error: unknown) =>
  toast.error(
    error instanceof RequestProblem ? error.message : 'The server cannot be reached. Nothing was published.',
  );

/** Releases as knots on a thread, the draft at its top. */
export function ReleaseStation() {
  const { session, summary } = useOpened();
  const queries = useQueryClient();
  const key = queryKeys.releases(session.id);
  const waiting = useSessionState(state => state.waiting);
  const seq = useSessionState(state => state.seq);
  const site = useSite();
  const [search, setSearch] = useSearchParams();
  const exporting = search.has('export');
  const replacing = search.has('replace');
  const open = (sheet: 'export' | 'replace' | null) =>
    setSearch(sheet ? { [sheet]: '' } : {}, { replace: true });
  const [note, setNote] = useState('');
  const mayPublish = summary.role === 'designer';
  const { data, error, isPending } = useReleases(session.id);
  const publish = useMutation({
    mutationFn: (body: Dto['PublishDto']) =>
      answer(server.POST('/api/sites/{site}/releases', { params: { path: { site: session.id } }, body })),
    onSuccess: () => {
      setNote('');
      return queries.invalidateQueries({ queryKey: key });
    },
    onError: showError,
  });
  const goLive = useMutation({
    mutationFn: (release: string) =>
      answer(
        server.PUT('/api/sites/{site}/live', { params: { path: { site: session.id } }, body: { release } }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
    onError: showError,
  });
  const unpublished = unpublishedIn(data?.releases ?? [], seq);
  const busy = data?.releases.some(working) ?? false;
  const live = data?.releases.find(it => it.live);

  if (isPending)
    return (
      <p role="status" className="p-6 text-muted">
        Loading releases…
      </p>
    );
  if (error || !data)
    return (
      <div role="alert" className="p-6">
        <p className="mb-2">The releases could not be loaded.</p>
        <Button kind="line" onClick={() => void queries.invalidateQueries({ queryKey: key })}>
          Try again
        </Button>
      </div>
    );
  return (
    <div className="thin-scroll grid h-full grid-cols-[minmax(360px,460px)_1fr] overflow-hidden">
      <section
        data-pane
        aria-label="Releases"
        className="thin-scroll overflow-auto border-r border-hair bg-paper px-6 py-6"
      >
        <ol className="relative ml-1 border-l border-ink/40 pl-6">
          <li className="relative pb-7">
            <span
              className="absolute top-1 -left-[30px] size-[11px] rounded-full border-2 border-madder bg-paper"
              aria-hidden
            />
            <h2 className="text-[15px] font-semibold">Draft</h2>
            <p className="text-muted">
              {data.releases.length === 0
                ? 'Nothing is published yet.'
                : unpublished === 0
                  ? 'No changes since the latest release.'
                  : `${unpublished} change${unpublished === 1 ? '' : 's'} since the latest release.`}
              {waiting > 0 && ` ${waiting} not saved yet.`}
            </p>
            {mayPublish && (
              <form
                className="mt-3 flex gap-2"
                onSubmit={event => {
                  event.preventDefault();
                  publish.mutate({ note });
                }}
              >
                <input
                  aria-label="What is new"
                  placeholder="What is new, in a few words"
                  value={note}
                  maxLength={200}
                  onChange={event => setNote(event.target.value)}
                  className="h-8 min-w-0 flex-1 rounded border border-hair bg-paper px-2"
                />
                <Button
                  type="submit"
                  kind="main"
                  className="h-8!"
                  disabled={busy || publish.isPending || waiting > 0}
                >
                  Publish
                </Button>
              </form>
            )}
          </li>
          {data.releases.map(it => (
            <li key={it.id} className="relative pb-6">
              <span
                className={`absolute top-1 -left-[30px] size-[11px] rounded-full border-2 border-madder ${it.live ? 'bg-madder' : 'bg-paper'}`}
                aria-hidden
              />
              <h3 className="flex items-baseline gap-2 font-semibold">
                Release {it.number}
                {it.live && <span className="font-normal text-teal">live</span>}
              </h3>
              <p className="text-muted">
                {when.format(new Date(it.createdAt))}
                {it.note && ` — ${it.note}`}
              </p>
              {working(it) && (
                <div className="mt-1.5">
                  <progress
                    aria-label={`Publishing release ${it.number}`}
                    value={it.done}
                    max={Math.max(1, it.total)}
                    className="w-full"
                  />
                  <p role="status" className="text-small text-muted">
                    {it.state === 'waiting' ? 'Queued' : `${it.done} of ${it.total} files`}
                  </p>
                </div>
              )}
              {it.state === 'failed' && (
                <FailedRelease
                  release={it}
                  site={session.id}
                  onPublishRest={
                    mayPublish && it === data.releases[0]
                      ? () => publish.mutate({ note: it.note, leaveOut: true })
                      : undefined
                  }
                />
              )}
              {it.state === 'done' && it.problems.length > 0 && (
                <p className="text-muted">
                  {it.problems.length === 1 ? 'One thing was' : `${it.problems.length} things were`} left out.
                </p>
              )}
              {mayPublish && it.state === 'done' && !it.live && (
                <Button kind="link" disabled={goLive.isPending} onClick={() => goLive.mutate(it.id)}>
                  {live && it.number < live.number ? 'Go back to this release' : 'Show this release'}
                </Button>
              )}
            </li>
          ))}
        </ol>
        {mayPublish && (
          <div className="grid justify-items-start border-t border-hair pt-3">
            <a href={`/api/sites/${session.id}/whole.zip`} className="text-teal hover:underline">
              Download the whole site
            </a>
            <p className="text-muted">Everything of it as JSON, with its pictures and fonts</p>
            <Button kind="link" onClick={() => open('replace')}>
              Replace it from a file…
            </Button>
          </div>
        )}
      </section>
      {exporting && (
        <GuideExport
          site={site}
          siteId={session.id}
          live={live ?? null}
          address={summary.address}
          mayShare={mayPublish}
          onClose={() => open(null)}
        />
      )}
      {replacing && mayPublish && <ReplaceSheet onClose={() => open(null)} />}
      <section data-pane aria-label="What visitors see" className="flex min-w-0 flex-col">
        <div className="flex h-10 items-center justify-between px-6">
          <span className="text-muted">
            {live ? `What visitors see: release ${live.number}` : 'Visitors see nothing yet'}
          </span>
          <span className="flex items-center gap-4">
            <Button kind="link" onClick={() => open('export')}>
              Export the guide…
            </Button>
            <a href={`/api/sites/${session.id}/export.zip`} className="text-teal hover:underline">
              Download the draft
            </a>
            {live && (
              <a
                href={`/api/sites/${session.id}/export.zip?release=${live.id}`}
                className="text-teal hover:underline"
              >
                Download release {live.number}
              </a>
            )}
            {live && (
              <a
                href={summary.address}
                target="_blank"
                rel="noreferrer"
                className="text-teal hover:underline"
              >
                Open the site
              </a>
            )}
          </span>
        </div>
        {live ? (
          <iframe
            key={live.id}
            title={`Release ${live.number}`}
            src={summary.address}
            className="mx-6 mb-6 flex-1 border border-hair bg-white"
          />
        ) : (
          <p className="px-6 text-muted">Publish the draft, and it shows here as on its own host.</p>
        )}
      </section>
    </div>
  );
}
