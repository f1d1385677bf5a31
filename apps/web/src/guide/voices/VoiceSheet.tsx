import type { Site } from '@cove/core';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { Families } from './Families.tsx';
import { FamilyFilter } from './FamilyFilter.tsx';
import { OwnFonts } from './OwnFonts.tsx';
import { Pairings } from './Pairings.tsx';
import { useVoices } from './useVoices.ts';
import { WORDS } from './words.ts';
import { wordsOf } from './wordsOf.ts';

type Shown = 'families' | 'pairings' | 'own';

/** The catalogue of families, pairings that go well together, and the site's own fonts, all in the site's own words. */
export function VoiceSheet({ site, onClose }: { site: Site; onClose(): void }) {
  const [shown, setShown] = useState<Shown>('families');
  const words = useMemo(() => wordsOf(site), [site]);
  const voices = useVoices(site);
  return (
    <Sheet
      title={WORDS.title}
      about={WORDS.about(words.site)}
      onClose={() => {
        voices.preview(null);
        onClose();
      }}
      wide
    >
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <Choice<Shown>
          label={WORDS.show}
          value={shown}
          options={[
            { value: 'families', label: WORDS.families },
            { value: 'pairings', label: WORDS.pairings },
            { value: 'own', label: WORDS.own },
          ]}
          onChange={setShown}
        />
        {shown === 'families' && <FamilyFilter it={voices} />}
      </div>
      {shown === 'families' && <Families words={words} it={voices} />}
      {shown === 'pairings' && <Pairings site={site} words={words} pair={voices.pair} />}
      {shown === 'own' && <OwnFonts site={site} />}
      <p className="mt-4 text-small text-muted">
        {WORDS.licences}
        {shown === 'families' && WORDS.pointing}
      </p>
      <div className="mt-2 text-right">
        <Button kind="line" onClick={onClose}>
          {WORDS.done}
        </Button>
      </div>
    </Sheet>
  );
}
