import { CATALOGUE } from './catalogue.ts';
import type { Cut, Family, FontFile, Generic, ShippedFamily } from './family.ts';

const fileOf = (family: ShippedFamily, cut: Cut, bytes: number): FontFile => ({
  cut,
  file: `${family.file}-latin-wght-${cut}.woff2`,
  format: 'woff2',
  bytes,
  weights: family.weights,
});

const shipped = (it: ShippedFamily): Family => ({
  name: it.name,
  kind: it.kind,
  generic: it.generic,
  licence: it.licence,
  metrics: it.metrics,
  files: [
    fileOf(it, 'normal', it.bytes),
    ...(it.italicBytes === null ? [] : [fileOf(it, 'italic', it.italicBytes)]),
  ],
});

const system = (name: Generic, kind: Family['kind']): Family => ({
  name,
  kind,
  generic: name,
  licence: 'the reader’s own',
  metrics: null,
  files: [],
});

/** The reader's own fonts: no bytes, another face on every machine. */
export const SYSTEM_FAMILIES: readonly Family[] = [
  system('system-ui', 'sans'),
  system('ui-serif', 'serif'),
  system('ui-monospace', 'mono'),
];

/** Families that every guide can speak with, by name. */
export const FAMILIES: readonly Family[] = [...CATALOGUE.map(shipped), ...SYSTEM_FAMILIES];

const BY_NAME = new Map(FAMILIES.map(family => [family.name, family]));
export const familyNamed = (name: string): Family | undefined => BY_NAME.get(name);

/** Package and file of every font shipped with the program. */
export const SHIPPED_FILES: ReadonlyMap<string, string> = new Map(
  CATALOGUE.flatMap(it => shipped(it).files.map(({ file }) => [file, it.file] as const)),
);
