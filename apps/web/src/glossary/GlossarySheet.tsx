import { useEffect, useRef } from 'react';
import { Sheet } from '../ui/Sheet.tsx';
import { GLOSSARY } from './glossary.ts';

/** The program’s own words, each in a sentence; the one that was asked for is brought into view. */
export function GlossarySheet({ word, onClose }: { word: string | null; onClose(): void }) {
  const asked = useRef<HTMLDivElement>(null);
  useEffect(() => asked.current?.scrollIntoView({ block: 'center' }), []);
  return (
    <Sheet title="Glossary" about="Words that have a meaning of their own here." onClose={onClose}>
      <dl className="grid gap-2.5">
        {GLOSSARY.map(it => (
          <div
            key={it.word}
            ref={it.word === word ? asked : null}
            className={`grid grid-cols-[96px_1fr] gap-3 ${it.word === word ? '-mx-2 rounded-sm bg-wash px-2 py-1' : ''}`}
          >
            <dt className="font-semibold">{it.word}</dt>
            <dd>{it.meaning}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
