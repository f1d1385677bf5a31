import { useId } from 'react';
import type { NewSiteState } from './useNewSite.ts';

const LONGEST = 2000;

function Words({
  label,
  hint,
  value,
  onChange,
}: {
  label: string;
  hint: string;
  value: string;
  onChange(value: string): void;
}) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="label-line">
        {label}
      </label>
      <textarea
        id={id}
        rows={2}
        maxLength={LONGEST}
        placeholder={hint}
        value={value}
        onChange={event => onChange(event.target.value)}
        className="w-full resize-y rounded border border-hair bg-paper px-2.5 py-1.5"
      />
    </div>
  );
}

/** A few words about the brand; they become notes of the site, where whoever works on it finds them. */
export function BriefFields({ state: { brief, setBrief } }: { state: NewSiteState }) {
  return (
    <details className="border-t border-hair py-3">
      <summary className="cursor-pointer font-semibold">
        Brief <span className="font-normal text-muted">optional, kept as notes</span>
      </summary>
      <div className="grid gap-3 pt-3">
        <Words
          label="Character"
          hint="Calm and plain, never loud"
          value={brief.character}
          onChange={character => setBrief({ ...brief, character })}
        />
        <Words
          label="Audience"
          hint="Neighbours, and visitors for a day"
          value={brief.audience}
          onChange={audience => setBrief({ ...brief, audience })}
        />
        <Words
          label="What visitors look for"
          hint="Opening hours, and the way here"
          value={brief.visitors}
          onChange={visitors => setBrief({ ...brief, visitors })}
        />
        <Words
          label="Content still missing, one item per line"
          hint={'Photographs of the shop\nPrices'}
          value={brief.missing.join('\n')}
          onChange={text => setBrief({ ...brief, missing: text.split('\n') })}
        />
      </div>
    </details>
  );
}
