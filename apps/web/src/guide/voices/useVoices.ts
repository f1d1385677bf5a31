import {
  type Family,
  type FamilyKind,
  familiesOf,
  hasItalic,
  type Pairing,
  type Site,
  speakWith,
  type TokenRecord,
  takePairing,
  type WidthClass,
  weightsOf,
  widthClass,
} from '@cove/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useCommit, useSession } from '../../session/context.tsx';

/** What is asked of a family; an empty word asks nothing. */
export interface Wanted {
  words: string;
  kind: FamilyKind | '';
  width: WidthClass | '';
  cuts: '' | 'italic' | 'light' | 'black';
}

const ANY: Wanted = { words: '', kind: '', width: '', cuts: '' };
/** Weights up to this one count as light, from the other on as black: the names of CSS Fonts 4. */
const LIGHT = 300;
const BLACK = 900;

export function fits(family: Family, { words, kind, width, cuts }: Wanted): boolean {
  const range = weightsOf(family);
  return (
    family.name.toLowerCase().includes(words.trim().toLowerCase()) &&
    (kind === '' || family.kind === kind) &&
    (width === '' || widthClass(family) === width) &&
    (cuts === '' ||
      (cuts === 'italic' && hasItalic(family)) ||
      (cuts === 'light' && range !== null && range[0] <= LIGHT) ||
      (cuts === 'black' && range !== null && range[1] >= BLACK))
  );
}

export interface Voices {
  voices: readonly TokenRecord[];
  /** The voice that a family is looked for, by its id. */
  voice: string;
  setVoice(id: string): void;
  wanted: Wanted;
  want(part: Partial<Wanted>): void;
  families: readonly Family[];
  /** The name of the family that it speaks with now. */
  current: string | null;
  take(family: Family): void;
  /** Shows a family in the guide without keeping it; null shows what is kept. */
  preview(family: Family | null): void;
  pair(pairing: Pairing): void;
}

/** The families that fit what is asked, and what is done with one: shown in the guide, kept, or taken as a pairing. */
export function useVoices(site: Site): Voices {
  const commit = useCommit();
  const session = useSession();
  const voices = [...site.kinds.token.values()].filter(it => it.type === 'fontFamily');
  const [voice, setVoice] = useState(voices[0]?.id ?? '');
  const [wanted, setWanted] = useState(ANY);
  const settled = useDeferredValue(wanted);
  const families = useMemo(() => familiesOf(site).filter(it => fits(it, settled)), [site, settled]);
  const chosen = voices.find(it => it.id === voice);
  return {
    voices,
    voice,
    setVoice,
    wanted,
    want: part => setWanted(now => ({ ...now, ...part })),
    families,
    current: chosen?.value.type === 'fontFamily' ? (chosen.value.value[0] ?? null) : null,
    take(family) {
      if (chosen) commit([speakWith(chosen, family)], `${chosen.name} speaks with ${family.name}`);
    },
    preview: family => session.show(family && chosen ? [speakWith(chosen, family)] : null),
    pair: pairing => void commit(takePairing(site, pairing), `Take the pairing ${pairing.name}`),
  };
}
