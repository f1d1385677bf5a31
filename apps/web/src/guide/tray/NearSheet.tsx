import { type Id, type NearPair, printPainted, replaceTokens, type Site, tokenPath } from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { swatchColor } from './Swatches.tsx';

/** Swatches that can hardly be told apart, to be merged with all their uses. */
export function NearSheet({
  site,
  pairs,
  onClose,
}: {
  site: Site;
  pairs: readonly NearPair[];
  onClose(): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const [wish, setWish] = useState<{ keep: Id; gone: Id } | null>(null);
  const edits = useMemo(() => {
    const result = wish && replaceTokens(site, [wish.gone], wish.keep);
    return result?.ok ? result.value : null;
  }, [wish, site]);
  const nameOf = (id: Id) => site.kinds.token.get(id)?.name ?? id;
  const merge = () => {
    if (!wish) return;
    const result = replaceTokens(site, [wish.gone], wish.keep);
    if (!result.ok) toast.error(result.problem.message);
    else if (commit(result.value, `Merge ${nameOf(wish.gone)} into ${nameOf(wish.keep)}`)) setWish(null);
  };
  const side = (id: Id) => {
    const token = site.kinds.token.get(id);
    return (
      token && (
        <div className="h-12 p-1.5" style={{ background: printPainted(swatchColor(site, token)) }}>
          <span className="rounded-sm bg-paper px-1 text-small">{token.name}</span>
        </div>
      )
    );
  };
  return (
    <Sheet
      title="Swatches that look alike"
      about="Less than 2 apart in CIEDE2000: hard to tell apart"
      onClose={onClose}
    >
      {pairs.length === 0 && <p className="text-muted">None left.</p>}
      <ul className="grid gap-4">
        {pairs.map(({ a, b, distance }) => (
          <li key={`${a} ${b}`} className="grid gap-1.5">
            <div className="grid grid-cols-2 overflow-hidden border border-black/15">
              {side(a)}
              {side(b)}
            </div>
            <p className="flex items-center gap-3">
              <span className="mr-auto text-muted">
                <span className="font-mono">{distance.toFixed(2)}</span> apart ·{' '}
                {tokenPath(site.kinds.token, a)}, {tokenPath(site.kinds.token, b)}
              </span>
              {!locked && (
                <>
                  <Button kind="link" onClick={() => setWish({ keep: a, gone: b })}>
                    Keep {nameOf(a)}
                  </Button>
                  <Button kind="link" onClick={() => setWish({ keep: b, gone: a })}>
                    Keep {nameOf(b)}
                  </Button>
                </>
              )}
            </p>
            {wish && [a, b].includes(wish.keep) && [a, b].includes(wish.gone) && (
              <div className="grid gap-2 border-t border-hair pt-2">
                <ImpactNote edits={edits} />
                <Button kind="main" className="justify-self-start" disabled={!edits} onClick={merge}>
                  Merge: {nameOf(wish.gone)} becomes {nameOf(wish.keep)}
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
