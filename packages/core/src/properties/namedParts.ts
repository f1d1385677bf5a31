import type { PartKind } from './property.ts';

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
] as const;

/** A part that a preset knows by a name of its own, besides its kind. */
interface NamedPart {
  label: string;
  kind: PartKind;
}

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** What can lie behind a section’s content, over its own fill and below each other, the last uppermost until one is moved. */
export const LAYERS: readonly string[] = ORDINALS.map(it => `${it}Layer`);

/** Strips at the borders, in which the neighbour’s ground shows in a shape; with the side on which that neighbour is. */
export const EDGES = { topEdge: 'above', bottomEdge: 'below' } as const;

const GROUND_PARTS: Readonly<Record<string, NamedPart>> = {
  fill: { label: 'Fill', kind: 'box' },
  topEdge: { label: 'Top edge', kind: 'edge' },
  bottomEdge: { label: 'Bottom edge', kind: 'edge' },
  ...Object.fromEntries(
    ORDINALS.map(it => [`${it}Layer`, { label: `${capital(it)} layer`, kind: 'ground' } satisfies NamedPart]),
  ),
};

const TREATMENT_PARTS: Readonly<Record<string, NamedPart>> = {
  mount: { label: 'Mount', kind: 'mark' },
  picture: { label: 'Picture', kind: 'picture' },
  caption: { label: 'Caption', kind: 'text' },
  markBehind: { label: 'Mark behind', kind: 'mark' },
  markBefore: { label: 'Mark before', kind: 'mark' },
};

/**
 * What some presets are made for, and the parts that such a one speaks of: the ground of a section, a header or a footer,
 * and the treatment of a picture with all that stands around it. A thing wears one of each at most.
 */
export const PRESET_USES = {
  ground: { label: 'Ground', shownOn: 'section', parts: GROUND_PARTS },
  treatment: { label: 'Treatment', shownOn: 'picture', parts: TREATMENT_PARTS },
} as const satisfies Record<
  string,
  {
    label: string;
    /** The element that it is shown on where it is not worn yet. */
    shownOn: string;
    parts: Readonly<Record<string, NamedPart>>;
  }
>;
export type PresetUse = keyof typeof PRESET_USES;

export const isPresetUse = (text: string): text is PresetUse => Object.hasOwn(PRESET_USES, text);
export const PRESET_USE_NAMES: readonly PresetUse[] = Object.keys(PRESET_USES).filter(isPresetUse);

const NAMED: Readonly<Record<string, NamedPart>> = { ...GROUND_PARTS, ...TREATMENT_PARTS };

export const namedPart = (name: string): NamedPart | undefined =>
  Object.hasOwn(NAMED, name) ? NAMED[name] : undefined;
