import type { Foundation, SchemeRecord, Site } from '@cove/core';
import { READY_GUIDES } from '@cove/core/starters';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { problemText } from '../../api/problemText.ts';
import type { GuideWish } from '../../reach/messages.ts';
import { useCommit, useOpened, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { IntoView } from '../../ui/IntoView.tsx';
import { KeepGuide } from './KeepGuide.tsx';
import { OfferView, type Parts } from './OfferView.tsx';
import { Snapshots } from './Snapshots.tsx';
import {
  useForgetGuide,
  useKeepSnapshot,
  useKeptGuide,
  useKeptGuides,
  useSnapshotGuide,
  useSnapshots,
} from './useKept.ts';
import { useOffer } from './useOffer.ts';

interface Chosen {
  type: 'ready' | 'kept' | 'snapshot';
  id: string;
}
type Face = SchemeRecord['face'];

const Strip = ({ colors }: { colors: readonly string[] }) => (
  <span className="flex h-4 overflow-hidden rounded-sm border border-black/15">
    {colors.map(color => (
      <span key={color} className="flex-1" style={{ background: color }} />
    ))}
  </span>
);

/** Ready-made guides and one's own: seen on the whole station before they are taken, with what they would alter. */
export function GuidesPanel({
  site,
  reset,
  onClose,
}: {
  site: Site;
  /** A foundation that is to be as it was when the site began: its first snapshot is opened for it. */
  reset: Foundation | null;
  onClose(): void;
}) {
  const session = useSession();
  const { summary } = useOpened();
  const commit = useCommit();
  const [asked, setChosen] = useState<Chosen | null | 'not yet'>('not yet');
  const [face, setFace] = useState<Face>('light');
  const [parts, setParts] = useState<Parts>(reset);
  const snapshots = useSnapshots(session.id);
  const beginning = snapshots.data?.at(-1)?.id;
  const atFirst = useMemo(
    (): Chosen | null => (reset && beginning ? { type: 'snapshot', id: beginning } : null),
    [reset, beginning],
  );
  const chosen = asked === 'not yet' ? atFirst : asked;
  const kept = useKeptGuides();
  const opened = useKeptGuide(chosen?.type === 'kept' ? chosen.id : null, session.id);
  const then = useSnapshotGuide(session.id, chosen?.type === 'snapshot' ? chosen.id : null);
  const forget = useForgetGuide();
  const keep = useKeepSnapshot(session.id);
  const wish = useMemo((): GuideWish | null => {
    if (chosen?.type === 'ready') return { guide: chosen.id, face };
    const data = chosen?.type === 'kept' ? opened.data : chosen?.type === 'snapshot' ? then.data : undefined;
    return data
      ? { guide: data, face: null, ...(parts && { parts: typeof parts === 'string' ? parts : [...parts] }) }
      : null;
  }, [chosen, face, opened.data, then.data, parts]);
  const offer = useOffer(wish);
  const name =
    chosen?.type === 'ready'
      ? (READY_GUIDES.find(it => it.id === chosen.id)?.name ?? '')
      : chosen?.type === 'snapshot'
        ? (then.data?.name ?? '')
        : (kept.data?.find(it => it.id === chosen?.id)?.name ?? '');
  const choose = (next: Chosen) => {
    setParts(null);
    setChosen(chosen?.type === next.type && chosen.id === next.id ? null : next);
  };
  const take = async () => {
    if (!offer) return;
    const { edits } = offer;
    session.show(null);
    try {
      await session.settled();
      await keep.mutateAsync(`Before the guide “${name}”`);
    } catch (error) {
      toast.error(`Nothing was changed, because the guide could not be prepared. ${problemText(error)}`);
      return;
    }
    if (!commit(edits, `Take the guide ${name}`)) return;
    setChosen(null);
    toast(`${name} is now your guide. The previous one is kept as a snapshot.`);
  };
  /** What can be taken over in parts, and the button that does it. */
  const taken = (what: string) => (
    <IntoView ready={offer !== null}>
      <OfferView site={site} offer={offer} parts={parts} onParts={setParts} />
      <Button
        kind="main"
        className="justify-self-start"
        disabled={!offer || offer.edits.length === 0 || keep.isPending}
        onClick={() => void take()}
      >
        {offer?.taken ? `Take ${offer.taken.size} selected` : `Take ${what}`}
      </Button>
    </IntoView>
  );
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <header className="mb-2 flex items-baseline">
        <h2 className="mr-auto font-semibold">Guides</h2>
        <button type="button" aria-label="Close" className="rounded p-1 hover:bg-ground" onClick={onClose}>
          <X size={14} />
        </button>
      </header>
      {reset && beginning && (
        <p role="status" className="mb-2 border-l-2 border-teal pl-2">
          {reset}, as the site began: nothing is changed until you take it from the oldest snapshot, below.
        </p>
      )}
      {reset && !beginning && snapshots.isSuccess && (
        <p role="status" className="mb-2 border-l-2 border-teal pl-2">
          No snapshot has been taken of this site yet, so there is nothing to reset to. Choose a guide
          instead.
        </p>
      )}
      <p className="mb-2 text-muted">
        Choose one to see it in the specimen and on the pages. Nothing is kept until you take it; overrides
        stay.
      </p>
      <h3 className="label-line mb-1">Ready-made</h3>
      <ul aria-label="Ready-made guides">
        {READY_GUIDES.map(spec => {
          const on = chosen?.type === 'ready' && chosen.id === spec.id;
          return (
            <li key={spec.id} className="border-t border-hair py-1.5">
              <button
                type="button"
                aria-pressed={on}
                aria-label={`Guide ${spec.name}`}
                onClick={() => choose({ type: 'ready', id: spec.id })}
                className="block w-full text-left hover:text-teal aria-pressed:text-teal"
              >
                <span className="text-[16px]" style={{ fontFamily: spec.voices.heading, fontWeight: 600 }}>
                  {spec.name}
                </span>
              </button>
              <p className="mb-1 text-muted">{spec.about}</p>
              <Strip colors={spec.swatches.filter(([group]) => group !== 'Status').map(([, , it]) => it)} />
              {on && (
                <IntoView ready={offer !== null}>
                  <Choice<Face>
                    label="Face"
                    value={face}
                    options={[
                      { value: 'light', label: 'Light face' },
                      { value: 'dark', label: 'Dark face' },
                    ]}
                    onChange={setFace}
                  />
                  <OfferView site={site} offer={offer} />
                  <Button
                    kind="main"
                    className="justify-self-start"
                    disabled={!offer || keep.isPending}
                    onClick={() => void take()}
                  >
                    Take {spec.name}
                  </Button>
                </IntoView>
              )}
            </li>
          );
        })}
      </ul>
      <h3 className="label-line mt-4 mb-1">Your guides</h3>
      {kept.isPending && <p className="text-muted">Loading…</p>}
      {kept.error && <p role="alert">{problemText(kept.error)}</p>}
      {kept.data?.length === 0 && (
        <p className="text-muted">None yet. Save this guide to start the next site with it.</p>
      )}
      <ul aria-label="Your guides">
        {kept.data?.map(it => {
          const on = chosen?.type === 'kept' && chosen.id === it.id;
          return (
            <li key={it.id} className="border-t border-hair py-1.5">
              <p className="flex items-baseline gap-2">
                <button
                  type="button"
                  aria-pressed={on}
                  aria-label={`Guide ${it.name}`}
                  onClick={() => choose({ type: 'kept', id: it.id })}
                  className="truncate text-left font-semibold hover:text-teal aria-pressed:text-teal"
                >
                  {it.name}
                </button>
                <span className="shrink-0 text-small text-muted">version {it.version}</span>
                <Button
                  kind="link"
                  className="ml-auto h-5! text-small"
                  aria-label={`Forget the guide ${it.name}`}
                  onClick={() => forget.mutate(it.id)}
                >
                  Forget
                </Button>
              </p>
              {it.about !== '' && <p className="text-muted">{it.about}</p>}
              {on && (
                <div className="mt-1 grid gap-2">
                  {opened.error && <p role="alert">{problemText(opened.error)}</p>}
                  {taken(it.name)}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <KeepGuide siteId={session.id} siteName={summary.name} />
      <Snapshots
        siteId={session.id}
        inParts={chosen?.type === 'snapshot' ? chosen.id : null}
        onParts={id => choose({ type: 'snapshot', id })}
      >
        {then.error && <p role="alert">{problemText(then.error)}</p>}
        {taken('it')}
      </Snapshots>
    </div>
  );
}
