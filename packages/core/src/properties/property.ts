import type { LengthUnit, LiteralType } from '../values/index.ts';

export type Facet = 'type' | 'color' | 'space' | 'line' | 'effect' | 'layout' | 'motion';
/** What the values of a scale are for: a corner's radius is no line's width. Properties of a facet share a use unless they say otherwise. */
export type ScaleUse =
  | Facet
  | 'textSize'
  | 'lineHeight'
  | 'letterSpacing'
  | 'underline'
  | 'lineWidth'
  | 'corner';
/** Kinds of part that presets are made for. */
export const PART_KINDS = ['box', 'heading', 'text', 'label', 'icon', 'picture'] as const;
/** What lies behind a section, the shape of its borders, and marks beside a picture: presets know them by name (`namedParts.ts`). */
export type PartKind = (typeof PART_KINDS)[number] | 'ground' | 'edge' | 'mark';
export const isPresetKind = (kind: string): kind is (typeof PART_KINDS)[number] =>
  PART_KINDS.some(it => it === kind);

/**
 * What a property is set with: a typed field; a list of its keywords; or, beside a typed field, a chooser of colours, of
 * grounds with a focus, of the same as a mask, or the focus of a picture on the picture itself.
 */
export type ControlName = 'text' | 'choice' | 'color' | 'ground' | 'mask' | 'focus';

/** One longhand: the row from which parser, printer, control, CSS, inheritance and search are made. */
export interface Property<Name extends string = string> {
  name: Name;
  css: string;
  /** Under which it is printed, where left and right are the start and end of a line: so that pages mirror with their script. */
  logical?: string;
  facet: Facet;
  /** As the bench names it. */
  label: string;
  accepts: readonly LiteralType[];
  keywords?: readonly string[];
  /** What keywords are called where their own names do not say enough. */
  keywordLabels?: Readonly<Record<string, string>>;
  /** Least value of a dimension or number. */
  min?: number;
  max?: number;
  /** Numbers without a fraction. */
  whole?: true;
  use: ScaleUse;
  /** Unit of a length typed as a plain number, where that is not px. */
  unit?: LengthUnit;
  /** CSS inheritance. */
  inherited?: true;
  /** Everyday words that find it. */
  words: string;
  /** Parts on which it has no effect are told; left out, it works everywhere. */
  kinds?: readonly PartKind[];
  /** A text style may hold it, as it may hold all of type. */
  ofText?: true;
  /** Only parts that stand in a place of their own, out of the flow, have it. */
  placed?: true;
  /** The custom property that carries a length as well, for what other properties of the part count with. */
  carriedAs?: `--${string}`;
  /** CSS text of what a value prints as, where the two differ. */
  print?(text: string): string;
  control: ControlName;
  /** The box it moves, drawn on the page while its row has the focus. */
  box?: 'padding' | 'margin' | 'gap' | 'size';
}

/** A row as it is written down: its control is told by what it accepts unless it says otherwise. */
type Written<Name extends string> = Omit<Property<Name>, 'facet' | 'control' | 'use'> & {
  control?: ControlName;
  use?: ScaleUse;
};

function usualControl({ accepts, keywords }: Pick<Property, 'accepts' | 'keywords'>): ControlName {
  if (accepts.length === 0 && keywords) return 'choice';
  return accepts.includes('color') ? 'color' : 'text';
}

export const rows = <const Name extends string>(
  facet: Facet,
  list: readonly Written<Name>[],
): readonly Property<Name>[] => list.map(row => ({ facet, use: facet, control: usualControl(row), ...row }));
