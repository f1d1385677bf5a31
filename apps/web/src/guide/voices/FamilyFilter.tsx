import { FAMILY_KINDS, type FamilyKind } from '@cove/core';
import { Select } from '../../ui/Select.tsx';
import type { Voices } from './useVoices.ts';
import { WORDS } from './words.ts';

const WIDTHS = ['narrow', 'usual', 'wide'] as const;
const CUTS = ['italic', 'light', 'black'] as const;

/** One of some words; empty where none of them is meant. */
const oneOf = <T extends string>(all: readonly T[], wanted: string): T | '' =>
  all.find(it => it === wanted) ?? '';

/** What a family is asked for: the voice it is for, its name, kind, width and cuts. */
export function FamilyFilter({
  it: { voices, voice, setVoice, wanted, want },
}: {
  it: Pick<Voices, 'voices' | 'voice' | 'setVoice' | 'wanted' | 'want'>;
}) {
  return (
    <>
      <Select
        label={WORDS.forVoice}
        className="w-32"
        value={voice}
        options={voices.map(it => ({ value: it.id, label: it.name }))}
        onChange={setVoice}
      />
      <div>
        <label className="label-line mb-0.5 block" htmlFor="family-name">
          {WORDS.name}
        </label>
        <input
          id="family-name"
          type="search"
          value={wanted.words}
          onChange={event => want({ words: event.target.value })}
          className="h-6 w-36 rounded-sm border border-hair bg-paper px-1.5"
        />
      </div>
      <Select
        label={WORDS.kind}
        className="w-28"
        value={wanted.kind}
        options={[
          { value: '', label: WORDS.any },
          ...FAMILY_KINDS.map(it => ({ value: it, label: WORDS.kinds[it] })),
        ]}
        onChange={kind => want({ kind: oneOf<FamilyKind>(FAMILY_KINDS, kind) })}
      />
      <Select
        label={WORDS.width}
        className="w-24"
        value={wanted.width}
        options={[{ value: '', label: WORDS.any }, ...WIDTHS.map(it => ({ value: it, label: it }))]}
        onChange={width => want({ width: oneOf(WIDTHS, width) })}
      />
      <Select
        label={WORDS.has}
        className="w-32"
        value={wanted.cuts}
        options={[
          { value: '', label: WORDS.anything },
          ...CUTS.map(it => ({ value: it, label: WORDS.cuts[it] })),
        ]}
        onChange={cuts => want({ cuts: oneOf(CUTS, cuts) })}
      />
    </>
  );
}
