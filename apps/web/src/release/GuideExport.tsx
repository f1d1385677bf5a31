import { EXPORTS, EXPORTS_FOLDER, type ExportFile, editOf, type Site, settingsOf } from '@cove/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { answer, server } from '../api/client.ts';
import { queryKeys } from '../api/queryKeys.ts';
import type { Release } from '../api/types.ts';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { download } from '../ui/download.ts';
import { Sheet } from '../ui/Sheet.tsx';
import { Tick } from '../ui/Tick.tsx';
import { SpecimenDownload } from './specimen/SpecimenDownload.tsx';

type Source = 'draft' | 'release';

/** What a file of the guide holds: of the draft as it is here, of a release as the server has it. */
function useFile(site: Site, siteId: string, file: ExportFile, release: Release | null) {
  const settled = useDeferredValue(site);
  const draft = useMemo(() => (release ? null : file.print(settled)), [release, file, settled]);
  const kept = useQuery({
    queryKey: [...queryKeys.releases(siteId), release?.id ?? '', file.file],
    enabled: release !== null,
    // A release never alters.
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: async () => {
      const query = { release: release?.id ?? '' };
      const params = { path: { site: siteId, file: file.file }, query };
      const found = await answer(server.GET('/api/sites/{site}/guide/{file}', { params, parseAs: 'text' }));
      return found;
    },
  });
  return release ? { text: kept.data ?? null, error: kept.error } : { text: draft, error: null };
}

function Formats({ chosen, onChoose }: { chosen: ExportFile; onChoose(file: ExportFile): void }) {
  const name = useId();
  return (
    <fieldset className="grid content-start gap-1">
      <legend className="label-line mb-1">Format</legend>
      {EXPORTS.map(it => (
        <label
          key={it.id}
          className="rounded-sm border border-transparent px-2 py-1.5 hover:border-hair has-checked:border-teal has-focus-visible:outline-2 has-focus-visible:outline-teal"
        >
          <input
            type="radio"
            name={name}
            checked={it === chosen}
            onChange={() => onChoose(it)}
            className="sr-only"
          />
          <span className="font-semibold">{it.label}</span>{' '}
          <code className="font-mono text-[11px] text-muted">{it.file}</code>
          <span className="block text-small text-muted">{it.about}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** The guide in open formats, of the draft or of what visitors see: seen, copied, downloaded, and found at an address that stays. */
export function GuideExport({
  site,
  siteId,
  live,
  address,
  mayShare,
  onClose,
}: {
  site: Site;
  siteId: string;
  live: Release | null;
  /** Where visitors find the site, with a slash at its end. */
  address: string;
  mayShare: boolean;
  onClose(): void;
}) {
  const commit = useCommit();
  const [chosen, setChosen] = useState<ExportFile>(EXPORTS[0] ?? never());
  const [source, setSource] = useState<Source>('draft');
  const release = source === 'release' ? live : null;
  const { text, error } = useFile(site, siteId, chosen, release);
  const settings = settingsOf(site);
  const stable = `${address}${EXPORTS_FOLDER}/${chosen.file}`;
  const copy = async (what: string, said: string) => {
    await navigator.clipboard.writeText(what);
    toast.success(said);
  };
  return (
    <Sheet
      wide
      title="Export the guide"
      about="Tokens, schemes and text styles in open formats"
      onClose={onClose}
      foot={
        <>
          <SpecimenDownload site={site} siteId={siteId} />
          <Button
            disabled={text === null}
            onClick={() => text !== null && void copy(text, `${chosen.label} copied`)}
          >
            Copy
          </Button>
          <Button
            kind="main"
            disabled={text === null}
            onClick={() => text !== null && download(chosen.file, text, chosen.type)}
          >
            Download {chosen.file}
          </Button>
        </>
      }
    >
      <div className="grid grid-cols-[260px_minmax(0,1fr)] gap-5">
        <div className="grid content-start gap-4">
          {live ? (
            <Choice<Source>
              label="What to export"
              value={source}
              options={[
                { value: 'draft', label: 'Draft' },
                { value: 'release', label: `Release ${live.number}, live` },
              ]}
              onChange={setSource}
            />
          ) : (
            <p className="text-muted">The draft; nothing is published yet.</p>
          )}
          <Formats chosen={chosen} onChoose={setChosen} />
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          {error ? (
            <p role="alert" className="h-[min(46vh,420px)]">
              {error.message} Publish again, and the release has it.
            </p>
          ) : (
            <section
              // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
              tabIndex={0}
              aria-label={`Preview of ${chosen.file}`}
              className="thin-scroll h-[min(46vh,420px)] overflow-auto rounded-sm border border-hair bg-ground p-3"
            >
              <pre className="font-mono text-[11.5px] leading-snug">{text ?? 'Loading…'}</pre>
            </section>
          )}
          {live && (
            <div className="grid gap-1">
              <p className="label-line">Address of the live release’s file</p>
              <p className="flex items-center gap-2">
                <code className="min-w-0 truncate font-mono text-[11.5px]">{stable}</code>
                <Button kind="link" onClick={() => void copy(stable, 'Address copied')}>
                  Copy address
                </Button>
              </p>
              {mayShare && (
                <Tick
                  checked={settings.openGuide === true}
                  onChange={on =>
                    commit(
                      [editOf(settings).put('openGuide', on || null)],
                      'Change who may read the published guide',
                    )
                  }
                >
                  Let scripts and style sheets of other sites read it, from the next release on
                </Tick>
              )}
            </div>
          )}
        </div>
      </div>
    </Sheet>
  );
}

const never = (): never => {
  throw new Error('no format');
};
