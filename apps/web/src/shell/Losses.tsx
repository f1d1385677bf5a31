import { nameOf } from '@cove/core';
import { useSession, useSessionState, useSite } from '../session/context.tsx';
import { type Loss, wordsOf } from '../session/losses.ts';
import { Button } from '../ui/Button.tsx';
import { pathWords } from './pathWords.ts';

const MOST_SHOWN = 4;

function said({ how, by, edit, site }: Loss): string {
  const what = `${pathWords(edit.path)} of ${nameOf(site, edit.id)}`;
  const who = by || 'Somebody';
  switch (how) {
    case 'overwritten':
      return `${who} changed the ${what} while you did. Their change came later and was kept.`;
    case 'removed':
      return `${who} removed ${nameOf(site, edit.id)} while you changed its ${pathWords(edit.path)}.`;
    case 'refused':
      return `The ${what} was refused by the server.`;
  }
}

/** What was made here and no longer stands: told, and offered back. It stays until it is read. */
export function Losses() {
  const session = useSession();
  const site = useSite();
  const losses = useSessionState(state => state.losses);
  const unkept = useSessionState(state => state.unkept);
  if (losses.length + unkept.length === 0) return null;
  return (
    <section
      aria-label="Overwritten by others"
      className="fixed bottom-4 left-4 z-40 grid w-[340px] gap-2"
      aria-live="polite"
    >
      {losses.slice(0, MOST_SHOWN).map(loss => {
        const words = wordsOf(loss.edit);
        const there = nameOf(site, loss.edit.id) !== loss.edit.id;
        return (
          <article key={loss.n} className="rounded-md border border-hair bg-paper p-3 shadow-lg">
            <p>{said(loss)}</p>
            {words !== null && words !== '' && (
              <blockquote className="thin-scroll mt-1.5 max-h-24 overflow-auto border-l-2 border-hair pl-2 whitespace-pre-line text-muted">
                {words}
              </blockquote>
            )}
            <p className="mt-2 flex gap-3">
              {there && loss.how !== 'refused' && (
                <Button kind="link" onClick={() => session.bringBack(loss)}>
                  Restore mine
                </Button>
              )}
              {words !== null && words !== '' && (
                <Button kind="link" onClick={() => void navigator.clipboard.writeText(words)}>
                  Copy my text
                </Button>
              )}
              <Button kind="link" className="ml-auto" onClick={() => session.forgetLoss(loss)}>
                {loss.how === 'overwritten' ? 'Keep theirs' : 'OK'}
              </Button>
            </p>
          </article>
        );
      })}
      {unkept.slice(0, MOST_SHOWN).map(({ n, label, words }) => (
        <article key={`unkept ${n}`} className="rounded-md border border-hair bg-paper p-3 shadow-lg">
          <p>What you typed into “{label}” was not saved: the field closed too early.</p>
          <blockquote className="thin-scroll mt-1.5 max-h-24 overflow-auto border-l-2 border-hair pl-2 whitespace-pre-line text-muted">
            {words}
          </blockquote>
          <p className="mt-2 flex gap-3">
            <Button kind="link" onClick={() => void navigator.clipboard.writeText(words)}>
              Copy my text
            </Button>
            <Button kind="link" className="ml-auto" onClick={() => session.forgetUnkept(n)}>
              Dismiss
            </Button>
          </p>
        </article>
      ))}
      {losses.length > MOST_SHOWN && (
        <p className="rounded bg-paper px-3 py-1 text-muted">and {losses.length - MOST_SHOWN} more</p>
      )}
    </section>
  );
}
