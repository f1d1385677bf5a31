import type { LiteralType } from '../values/index.ts';

export type Facet = 'type' | 'colour' | 'space' | 'line' | 'effect' | 'layout' | 'motion';
export type PartKind = 'box' | 'heading' | 'text' | 'label' | 'icon' | 'picture';

/** One longhand: the row from which parser, printer, control, CSS, inheritance and search are made. */
export interface Property<Name extends string = string> {
  name: Name;
  css: string;
  facet: Facet;
  /** As the bench names it. */
  label: string;
  accepts: readonly LiteralType[];
  keywords?: readonly string[];
  /** Least value of a dimension or number. */
  min?: number;
  max?: number;
  /** CSS inheritance. */
  inherited?: true;
  /** Everyday words that find it. */
  words: string;
  /** Parts on which it has no effect are told; left out, it works everywhere. */
  kinds?: readonly PartKind[];
  /** A text style may hold it, as it may hold all of type. */
  ofText?: true;
  /** The box it moves, drawn on the page while its row has the focus. */
  box?: 'padding' | 'margin' | 'gap' | 'size';
}

export const rows = <const Name extends string>(
  facet: Facet,
  list: readonly Omit<Property<Name>, 'facet'>[],
): readonly Property<Name>[] => list.map(row => ({ facet, ...row }));
