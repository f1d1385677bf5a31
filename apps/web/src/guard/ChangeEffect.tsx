import { nameOf, printRatio } from '@cove/core';
import { X } from 'lucide-react';
import { useGo } from '../navigation/go.ts';
import { useSession, useSessionState } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { FailureLine } from './FailureLine.tsx';
import { useEffectOfChange } from './useEffectOfChange.ts';
import { WORDS } from './words.ts';

/** Roles and texts that are told one by one; further ones are counted. */
const MOST = 4;

/** What the last change of the guide does to the pages: how many items, and what cannot be read since. */
export function ChangeEffect() {
  const found = useEffectOfChange();
  return (
    <section aria-label={WORDS.region} className={found ? 'border-t border-hair bg-paper px-3 py-1.5' : ''}>
      <div role="status">{found && <Told {...found} />}</div>
    </section>
  );
}

function Told({ made, effect }: NonNullable<ReturnType<typeof useEffectOfChange>>) {
  const session = useSession();
  const site = useSessionState(state => state.site);
  const undoLabel = useSessionState(state => state.undoLabel);
  const go = useGo();
  const isMade = made.label !== null;
  const { failures = [] } = effect?.impact ?? {};
  const unreadable = effect?.unreadable ?? [];
  return (
    <>
      <p className="flex items-center gap-2">
        <span className="mr-auto">
          <span className="font-semibold">{made.label ?? WORDS.shown}:</span>{' '}
          {effect ? WORDS.impact(effect.impact, isMade) : WORDS.working}
        </span>
        {isMade && undoLabel === made.label && (
          <Button kind="link" className="h-5!" onClick={() => session.undo()}>
            {WORDS.undo}
          </Button>
        )}
        <button
          type="button"
          aria-label={WORDS.dismiss}
          className="rounded p-0.5 hover:bg-ground"
          onClick={() => session.forgetMade()}
        >
          <X size={13} aria-hidden />
        </button>
      </p>
      {failures.length > 0 && (
        <div className="mt-1 border-l-2 border-ink pl-2">
          <p className="font-semibold">{WORDS.roles(failures.length)}</p>
          <ul>
            {failures.slice(0, MOST).map(it => (
              <FailureLine
                key={`${it.scheme} ${it.role} ${it.on}`}
                site={site}
                failure={it}
                fixable={isMade}
              />
            ))}
            {failures.length > MOST && (
              <li className="text-small text-muted">{WORDS.more(failures.length - MOST)}</li>
            )}
          </ul>
        </div>
      )}
      {unreadable.length > 0 && (
        <div className="mt-1 border-l-2 border-ink pl-2">
          <p className="font-semibold">
            {isMade ? WORDS.texts(unreadable.length) : WORDS.textsWould(unreadable.length)}
          </p>
          <ul>
            {unreadable.slice(0, MOST).map(({ node, part, page, ratio, wanted }) => (
              <li key={`${node} ${part}`} className="flex items-baseline gap-1.5 text-small">
                <button
                  type="button"
                  className="min-w-0 truncate text-left text-teal hover:underline"
                  onClick={() => go(node)}
                >
                  {nameOf(site, node)}
                </button>
                <span className="shrink-0 text-muted">
                  {nameOf(site, page)}: <span className="font-mono">{printRatio(ratio)}</span>,{' '}
                  {WORDS.needs(wanted)}
                </span>
              </li>
            ))}
            {unreadable.length > MOST && (
              <li className="text-small text-muted">{WORDS.more(unreadable.length - MOST)}</li>
            )}
          </ul>
        </div>
      )}
    </>
  );
}
