import { type Id, nameOf, printRatio, type Site } from '@cove/core';
import { X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { useGo } from '../navigation/go.ts';
import { useSession, useSessionState } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { FailureLine } from './FailureLine.tsx';
import { type Fit, useUnfitTexts } from './fit/useUnfitTexts.ts';
import { useEffectOfChange } from './useEffectOfChange.ts';
import { WORDS } from './words.ts';

/** Roles and texts that are told one by one; further ones when they are asked for. */
const MOST = 4;
/** Those that are told at all: what is wrong with hundreds is the change itself. */
const ALL = 200;

/** What the last change of the guide does to the pages: how many items, and what cannot be read since. */
export function ChangeEffect() {
  const found = useEffectOfChange();
  const fit = useUnfitTexts(found?.made ?? null, found?.effect ?? null);
  return (
    <section
      aria-label={WORDS.region}
      className={
        found ? 'thin-scroll max-h-[38vh] overflow-y-auto border-t border-hair bg-paper px-3 py-1.5' : ''
      }
    >
      <div role="status">{found && <Told {...found} fit={fit} />}</div>
    </section>
  );
}

function Told({
  made,
  forecast,
  effect,
  fit,
}: NonNullable<ReturnType<typeof useEffectOfChange>> & { fit: Fit | null }) {
  const session = useSession();
  const site = useSessionState(state => state.site);
  const undoLabel = useSessionState(state => state.undoLabel);
  const isMade = made.label !== null;
  const { failures = [] } = effect?.impact ?? forecast ?? {};
  const unreadable = effect?.unreadable ?? [];
  return (
    <>
      <p className="flex items-center gap-2">
        <span className="mr-auto">
          <span className="font-semibold">{made.label ?? WORDS.shown}:</span>{' '}
          {effect ? WORDS.impact(effect.impact, isMade) : forecast ? WORDS.reaches(forecast) : WORDS.working}
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
        <Harm
          title={WORDS.roles(failures.length)}
          lines={failures.map(it => (
            <FailureLine key={`${it.scheme} ${it.role} ${it.on}`} site={site} failure={it} fixable={isMade} />
          ))}
        />
      )}
      {unreadable.length > 0 && (
        <Harm
          title={isMade ? WORDS.texts(unreadable.length) : WORDS.textsWould(unreadable.length)}
          lines={unreadable.map(({ node, part, page, ratio, wanted, dark }) => (
            <TextLine key={`${node} ${part}`} site={site} node={node}>
              {nameOf(site, page)}: <span className="font-mono">{printRatio(ratio)}</span>,{' '}
              {WORDS.needs(wanted)}
              {dark && `, ${WORDS.dark}`}
            </TextLine>
          ))}
        />
      )}
      {fit && fit.texts.length > 0 && (
        <Harm
          title={isMade ? WORDS.unfit(fit.texts.length) : WORDS.unfitWould(fit.texts.length)}
          note={WORDS.laidOut(fit.pages, effect?.impact.pages.length ?? 0)}
          lines={fit.texts.map(({ node, part, page, width, viewport }) => (
            <TextLine key={`${node} ${part}`} site={site} node={node}>
              {nameOf(site, page)}: {WORDS.tooWide(width, viewport)}
            </TextLine>
          ))}
        />
      )}
    </>
  );
}

/** A text on a page that the change harms, and the way to it. */
function TextLine({ site, node, children }: { site: Site; node: Id; children: ReactNode }) {
  const go = useGo();
  return (
    <li className="flex items-baseline gap-1.5 text-small">
      <button
        type="button"
        className="min-w-0 truncate text-left text-teal hover:underline"
        onClick={() => go(node)}
      >
        {nameOf(site, node)}
      </button>
      <span className="shrink-0 text-muted">{children}</span>
    </li>
  );
}

/** One kind of harm: how often, and where, the first few of them at once. */
function Harm({ title, note = '', lines }: { title: string; note?: string; lines: readonly ReactNode[] }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-1 border-l-2 border-ink pl-2">
      <p>
        <span className="font-semibold">{title}</span>{' '}
        {note && <span className="text-small text-muted">{note}</span>}
      </p>
      <ul className={open ? 'thin-scroll max-h-40 overflow-y-auto' : ''}>
        {lines.slice(0, open ? ALL : MOST)}
        {open && lines.length > ALL && (
          <li className="text-small text-muted">{WORDS.more(lines.length - ALL)}</li>
        )}
      </ul>
      {!open && lines.length > MOST && (
        <Button kind="link" className="h-5! text-small" onClick={() => setOpen(true)}>
          {WORDS.more(lines.length - MOST)}
        </Button>
      )}
    </div>
  );
}
