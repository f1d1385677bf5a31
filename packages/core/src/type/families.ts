export interface Family {
  name: string;
  kind: 'serif' | 'sans' | 'mono' | 'display';
  generic: 'serif' | 'sans-serif' | 'monospace' | 'system-ui';
  /** Range of the weight axis; null for the reader's own system fonts, which cost no bytes. */
  weights: readonly [number, number] | null;
  /** Name of the variable file without its cut and ending; null for system fonts. */
  file: string | null;
  italic: boolean;
  licence: string;
}

const OFL = 'SIL Open Font License 1.1';

/** Families shipped with the program, and the system's own. */
export const FAMILIES: readonly Family[] = [
  {
    name: 'Bricolage Grotesque',
    kind: 'display',
    generic: 'sans-serif',
    weights: [200, 800],
    file: 'bricolage-grotesque',
    italic: false,
    licence: OFL,
  },
  {
    name: 'Figtree',
    kind: 'sans',
    generic: 'sans-serif',
    weights: [300, 900],
    file: 'figtree',
    italic: true,
    licence: OFL,
  },
  {
    name: 'Fraunces',
    kind: 'serif',
    generic: 'serif',
    weights: [100, 900],
    file: 'fraunces',
    italic: true,
    licence: OFL,
  },
  {
    name: 'JetBrains Mono',
    kind: 'mono',
    generic: 'monospace',
    weights: [100, 800],
    file: 'jetbrains-mono',
    italic: true,
    licence: OFL,
  },
  {
    name: 'Literata',
    kind: 'serif',
    generic: 'serif',
    weights: [200, 900],
    file: 'literata',
    italic: true,
    licence: OFL,
  },
  {
    name: 'Source Sans 3',
    kind: 'sans',
    generic: 'sans-serif',
    weights: [200, 900],
    file: 'source-sans-3',
    italic: true,
    licence: OFL,
  },
  {
    name: 'system-ui',
    kind: 'sans',
    generic: 'system-ui',
    weights: null,
    file: null,
    italic: true,
    licence: 'the reader’s own',
  },
];

export const familyNamed = (name: string): Family | undefined =>
  FAMILIES.find(family => family.name === name);

export type Cut = 'normal' | 'italic';
/** File of one cut: latin, weight axis only. */
export const fontFile = (family: Family, cut: Cut): string | null =>
  family.file && `${family.file}-latin-wght-${cut}.woff2`;

/** `@font-face` of one cut as served below `base`. */
export function fontFace(family: Family, cut: Cut, base: string): string {
  const file = fontFile(family, cut);
  if (!file || !family.weights) return '';
  return `@font-face{font-family:"${family.name}";font-style:${cut};font-weight:${family.weights.join(' ')};font-display:swap;src:url("${base}${file}") format("woff2-variations")}`;
}
