import {
  type Cut,
  FAMILY_KINDS,
  type FamilyKind,
  type FontFile,
  type FontMetrics,
} from '../../type/family.ts';
import { parseFamilies } from '../../values/index.ts';
import type { Id } from '../records.ts';
import type { InGuide, RecordKind } from './recordKind.ts';

/** One uploaded font file; those of one family name belong together. */
export interface FontRecord {
  id: Id;
  kind: 'font';
  family: string;
  category: FamilyKind;
  cut: Cut;
  weightFrom: number;
  weightTo: number;
  /** File name in storage: hash and ending. */
  file: string;
  format: FontFile['format'];
  bytes: number;
  metrics: FontMetrics;
}

/** What a font file says of itself; the rest of its record is said by people. */
export type FontFacts = Omit<FontRecord, 'id' | 'kind' | 'category'>;

const UNITS = 100_000;
const STORED = /^[a-f0-9]{16,64}\.(woff2|woff|ttf|otf)$/;

export const font: RecordKind<FontRecord, InGuide<FontRecord>> = {
  label: 'font',
  read: (id, f) => ({
    id,
    kind: 'font',
    family: f.read('family', 'the name of a family', it =>
      typeof it === 'string' && it.length <= 80 && parseFamilies(it) && !it.includes(',') ? it : null,
    ),
    category: f.oneOf('category', FAMILY_KINDS),
    cut: f.oneOf('cut', ['normal', 'italic']),
    weightFrom: f.integer('weightFrom', 1, 1000),
    weightTo: f.integer('weightTo', 1, 1000),
    file: f.read('file', 'a stored font', it => (typeof it === 'string' && STORED.test(it) ? it : null)),
    format: f.oneOf('format', ['woff2', 'woff', 'truetype', 'opentype']),
    bytes: f.integer('bytes', 1, 20_000_000),
    metrics: f.object('metrics', m => ({
      ascent: m.number('ascent', -UNITS, UNITS),
      descent: m.number('descent', -UNITS, UNITS),
      lineGap: m.number('lineGap', -UNITS, UNITS),
      unitsPerEm: m.integer('unitsPerEm', 16, 16_384),
      xWidthAvg: m.number('xWidthAvg', 1, UNITS),
    })),
  }),
  references: () => [],
  rightToPut: () => 'guide',
  rights: {
    family: 'guide',
    category: 'guide',
    cut: 'guide',
    weightFrom: 'guide',
    weightTo: 'guide',
    file: 'guide',
    format: 'guide',
    bytes: 'guide',
    metrics: 'guide',
  },
  guide: {
    owned: true,
    key: record => `font ${record.file}`,
    foundation: () => 'Text',
    title: record => record.family,
    renamed: (record, rename) => ({ ...record, id: rename(record.id) }),
  },
  name: record => record.family,
  location: () => null,
  effects: () => ({ rules: 'faces', markup: 'none' }),
};
