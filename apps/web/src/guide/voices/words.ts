import type { Family, FamilyKind } from '@cove/core';

const KINDS: Record<FamilyKind, string> = {
  sans: 'sans',
  serif: 'serif',
  slab: 'slab',
  display: 'display',
  mono: 'mono',
  hand: 'by hand',
};

/** What the sheet of voices says. */
export const WORDS = {
  title: 'Voices',
  about: (site: string) =>
    `Families with open licences, shipped with the program; seen in the words of ${site}`,
  show: 'Show',
  families: 'Families',
  pairings: 'Pairings',
  own: 'Your fonts',
  forVoice: 'For the voice',
  name: 'Name',
  kind: 'Kind',
  kinds: KINDS,
  width: 'Width',
  has: 'Has',
  cuts: { italic: 'a true italic', light: 'light weights', black: 'black weights' },
  any: 'any',
  anything: 'anything',
  noneFits: 'No family matches.',
  anyWeight: 'any weight',
  noItalic: ', no italic',
  /** What a page loads for it; the reader's own families cost nothing. */
  bytes: ({ files }: Family) =>
    files.length === 0
      ? 'no bytes: the reader’s own'
      : `${Math.round((files.find(it => it.cut === 'normal')?.bytes ?? 0) / 1024)} KB`,
  pairing: (name: string) => `Pairing ${name}`,
  licences:
    'Licences: SIL Open Font License 1.1 for every family shipped with the program, unless said otherwise.',
  pointing: ' Pointing at a family shows it in the guide; a click keeps it.',
  done: 'Done',
} as const;
