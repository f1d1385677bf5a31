import { hasItalic, weightsOf } from '@cove/core';
import { COVERING, letters, Sample } from './Sample.tsx';
import type { Voices } from './useVoices.ts';
import { WORDS } from './words.ts';
import type { SiteWords } from './wordsOf.ts';

/** Families that fit what is asked, each in the site's own words; pointing at one shows it in the guide. */
export function Families({
  words,
  it: { families, current, take, preview },
}: {
  words: SiteWords;
  it: Pick<Voices, 'families' | 'current' | 'take' | 'preview'>;
}) {
  if (families.length === 0) return <p className="text-muted">{WORDS.noneFits}</p>;
  return (
    <ul aria-label={WORDS.families} className="grid grid-cols-3 gap-x-5">
      {families.map(family => (
        <li key={family.name} className="relative border-t border-hair py-2">
          <Sample words={words} title={{ ...letters(family), fontWeight: 600 }} text={letters(family)} />
          <button
            type="button"
            aria-pressed={family.name === current}
            aria-label={family.name}
            onPointerEnter={() => preview(family)}
            onPointerLeave={() => preview(null)}
            onClick={() => take(family)}
            className={COVERING}
          >
            {family.name}
          </button>
          <p className="flex gap-2 text-small text-muted">
            {WORDS.kinds[family.kind]}, {weightsOf(family)?.join('–') ?? WORDS.anyWeight}
            {hasItalic(family) ? '' : WORDS.noItalic}
            <span className="ml-auto font-mono text-[11px]">{WORDS.bytes(family)}</span>
          </p>
        </li>
      ))}
    </ul>
  );
}
