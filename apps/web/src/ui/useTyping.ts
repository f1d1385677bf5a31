import { createContext, use, useEffect, useEffectEvent, useRef, useState } from 'react';
import { TypingHostContext } from './typingHost.ts';

/** What the fields below are about: text that is being typed for one thing never goes to another. */
export const FieldOwner = createContext('');

export interface Typing {
  /** What is typed and not kept yet; null where the field shows what is there. */
  typed: string | null;
  /** What somebody else has set meanwhile; null where nobody has. */
  theirs: string | null;
  type(text: string): void;
  /** Ends the typing: what was typed is kept, or given up. */
  settle(): void;
  /** Runs an act as one whose maker had seen what was there when the typing began, so that whoever is overwritten is told. */
  keep(act: () => void): void;
}

interface Begun {
  text: string;
  owner: string;
  /** What was there when the typing began, and the number of the last change seen by then. */
  over: string;
  seq: number | undefined;
}

/**
 * Text on its way into a field. What somebody else sets meanwhile is told and does not replace it; where the field goes away
 * before it is kept, it is offered back.
 */
export function useTyping(label: string, text: string): Typing {
  const host = use(TypingHostContext);
  const owner = use(FieldOwner);
  const [begun, setBegun] = useState<Begun | null>(null);
  /** The same for whoever asks once the field is gone. */
  const latest = useRef<Begun | null>(null);
  const put = (next: Begun | null) => {
    latest.current = next;
    setBegun(next);
  };
  const giveUp = useEffectEvent(() => {
    const lost = latest.current;
    if (!lost) return;
    put(null);
    host?.offer(label, lost.text);
  });
  // The field went to another thing, or away altogether.
  const isOthers = begun !== null && begun.owner !== owner;
  useEffect(() => {
    if (isOthers) giveUp();
  }, [isOthers]);
  useEffect(() => () => giveUp(), []);

  const mine = isOthers ? null : begun;
  return {
    typed: mine?.text ?? null,
    theirs: mine && mine.over !== text ? text : null,
    type: next =>
      put(
        next === text && (mine === null || mine.over === text)
          ? null
          : {
              text: next,
              owner,
              over: mine?.over ?? text,
              seq: mine ? mine.seq : host?.seq(),
            },
      ),
    settle: () => put(null),
    keep: act => {
      const seq = latest.current?.seq;
      if (host && seq !== undefined) host.asSeenAt(seq, act);
      else act();
    },
  };
}
