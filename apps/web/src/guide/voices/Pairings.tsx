import { familyIn, PAIRINGS, type Site } from '@cove/core';
import { COVERING, letters, Sample } from './Sample.tsx';
import type { Voices } from './useVoices.ts';
import { WORDS } from './words.ts';
import type { SiteWords } from './wordsOf.ts';

/** Families that go well together, each pair in the site's own words. */
export function Pairings({ site, words, pair }: { site: Site; words: SiteWords; pair: Voices['pair'] }) {
  const of = (name: string) => {
    const family = familyIn(site, name);
    return family ? letters(family) : {};
  };
  return (
    <ul aria-label={WORDS.pairings} className="grid grid-cols-3 gap-x-5">
      {PAIRINGS.map(pairing => (
        <li key={pairing.name} className="relative border-t border-hair py-2">
          <Sample words={words} title={{ ...of(pairing.heading), fontWeight: 700 }} text={of(pairing.text)} />
          <button
            type="button"
            aria-label={WORDS.pairing(pairing.name)}
            onClick={() => pair(pairing)}
            className={COVERING}
          >
            {pairing.name}
          </button>
          <p className="text-small text-muted">
            {pairing.sound}: {pairing.heading}
            {pairing.text !== pairing.heading && `, ${pairing.text}`}
            {pairing.accent && `, ${pairing.accent}`}
          </p>
        </li>
      ))}
    </ul>
  );
}
