import type { ReactNode } from 'react';
import { GLOSSARY } from './glossary.ts';

/** A word of the program’s own where it first appears: what it means is shown under the pointer, and told to who hears it. */
export function Term({ word, children }: { word: string; children: ReactNode }) {
  const meaning = GLOSSARY.find(it => it.word === word)?.meaning;
  return (
    <dfn
      title={meaning}
      className="cursor-help not-italic underline decoration-muted decoration-dotted underline-offset-2"
    >
      {children}
    </dfn>
  );
}
