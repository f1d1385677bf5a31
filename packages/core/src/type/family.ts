export const FAMILY_KINDS = ['sans', 'serif', 'slab', 'display', 'mono', 'hand'] as const;
export type FamilyKind = (typeof FAMILY_KINDS)[number];
export type Generic =
  | 'serif'
  | 'sans-serif'
  | 'monospace'
  | 'cursive'
  | 'system-ui'
  | 'ui-serif'
  | 'ui-monospace';

/** Vertical metrics and mean width of a font, in its own units; the mean is weighted by how often letters occur. */
export interface FontMetrics {
  ascent: number;
  /** Below the line, so less than 0. */
  descent: number;
  lineGap: number;
  unitsPerEm: number;
  xWidthAvg: number;
}

export type Cut = 'normal' | 'italic';

/** A family shipped with the program: variable, latin, weight axis only. */
export interface ShippedFamily {
  name: string;
  kind: FamilyKind;
  generic: Generic;
  weights: readonly [number, number];
  /** Name of the variable file without its cut and ending. */
  file: string;
  /** Bytes of the upright file, and of the slanted one where there is one. */
  bytes: number;
  italicBytes: number | null;
  licence: string;
  metrics: FontMetrics;
}

/** One file of a family. */
export interface FontFile {
  cut: Cut;
  file: string;
  format: 'woff2' | 'woff' | 'truetype' | 'opentype';
  bytes: number;
  weights: readonly [number, number];
  /** Of the site’s own rather than shipped with the program. */
  own?: true;
}

/** A family that a voice can speak with: shipped, uploaded, or the reader's own (which has no files). */
export interface Family {
  name: string;
  kind: FamilyKind;
  generic: Generic;
  files: readonly FontFile[];
  licence: string;
  metrics: FontMetrics | null;
}

/** Lightest and heaviest weight that some file has; null where the reader's system decides. */
export const weightsOf = ({ files }: Family): readonly [number, number] | null =>
  files.length === 0
    ? null
    : [Math.min(...files.map(it => it.weights[0])), Math.max(...files.map(it => it.weights[1]))];

export const hasItalic = ({ files }: Family): boolean =>
  files.length === 0 || files.some(it => it.cut === 'italic');

export type WidthClass = 'narrow' | 'usual' | 'wide';
/** How broad a family runs, by its mean width in ems; the bounds are our own. */
export function widthClass({ metrics }: Family): WidthClass {
  const width = metrics ? metrics.xWidthAvg / metrics.unitsPerEm : 0.46;
  return width < 0.42 ? 'narrow' : width > 0.5 ? 'wide' : 'usual';
}
