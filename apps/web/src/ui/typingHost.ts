import { createContext } from 'react';

/** What fields ask of whoever keeps what is typed into them. */
export interface TypingHost {
  /** The number of the last change that was seen. */
  seq(): number;
  /** Runs an act whose maker had seen no more than the change of this number. */
  asSeenAt(seq: number, act: () => void): void;
  /** Takes words whose field went away before they were kept. */
  offer(label: string, words: string): void;
}

/** Null where nobody does: then what is typed belongs to its field alone. */
export const TypingHostContext = createContext<TypingHost | null>(null);
