import { readValue, type Value } from '../../values/index.ts';
import { isObject } from '../fields.ts';
import type { Id, Noted } from '../records.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inValue } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedValue } from './renames.ts';

/** One shape of a drawing: path data, and what it is painted with; null paints nothing. */
export interface DrawnPath {
  d: string;
  /** A colour, a swatch, or `currentcolor`: the colour of where the drawing stands. */
  fill: Value | null;
  stroke: Value | null;
  /** In units of the drawing. */
  width: number;
}

/** The brand's own icon or mark, stored once and read out of an SVG: nothing of the file is kept but its shapes. */
export interface DrawingRecord extends Noted {
  id: Id;
  kind: 'drawing';
  name: string;
  order: string;
  use: 'icon' | 'mark';
  /** Size of its field. */
  width: number;
  height: number;
  paths: readonly DrawnPath[];
}

/** Commands and numbers of SVG path data (SVG 2, section 9.3), and nothing else. */
const PATH_DATA = /^[MmLlHhVvCcSsQqTtAaZz0-9eE+\-.,\s]{1,20000}$/;

const paint = (it: unknown): { value: Value | null } | null => {
  if (it === null) return { value: null };
  const read = readValue(it);
  const good =
    read !== null &&
    (read.type === 'color' ||
      read.type === 'token' ||
      (read.type === 'keyword' && read.value === 'currentcolor'));
  return good ? { value: read } : null;
};

const paths = (it: unknown): DrawnPath[] | null => {
  if (!Array.isArray(it) || it.length === 0 || it.length > 400) return null;
  const read = it.flatMap((path: unknown): DrawnPath[] => {
    if (!isObject(path) || typeof path.d !== 'string' || !PATH_DATA.test(path.d)) return [];
    const [fill, stroke] = [paint(path.fill), paint(path.stroke)];
    const { width } = path;
    if (!fill || !stroke || typeof width !== 'number' || !(width >= 0 && width <= 1000)) return [];
    return [{ d: path.d, fill: fill.value, stroke: stroke.value, width }];
  });
  return read.length === it.length ? read : null;
};

export const drawing: RecordKind<DrawingRecord, InGuide<DrawingRecord>> = {
  label: 'drawing',
  read: (id, f) => ({
    id,
    kind: 'drawing',
    name: f.text('name', 80),
    order: f.order('order'),
    use: f.oneOf('use', ['icon', 'mark']),
    width: f.number('width', 0.01, 10_000),
    height: f.number('height', 0.01, 10_000),
    paths: f.read('paths', 'one to 400 shapes of path data', paths),
    ...note(f),
  }),
  references: record =>
    record.paths.flatMap(({ fill, stroke }, i) =>
      [fill, stroke].flatMap(it => (it ? inValue(`paths.${i}`, it, ['color']) : [])),
    ),
  rightToPut: () => 'guide',
  rights: {
    name: 'guide',
    order: 'guide',
    use: 'guide',
    width: 'guide',
    height: 'guide',
    paths: 'guide',
    note: 'guide',
  },
  guide: {
    owned: true,
    key: record => `${record.use} ${record.name.toLowerCase()}`,
    foundation: () => 'Icons, marks and notes',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      paths: record.paths.map(path => ({
        ...path,
        fill: path.fill && renamedValue(path.fill, rename),
        stroke: path.stroke && renamedValue(path.stroke, rename),
      })),
    }),
  },
  name: record => record.name,
  location: () => null,
  effects: (was, is) =>
    !was || !is || onlyDiffer(was, is, ['name', 'order', 'use', 'note'])
      ? NOTHING
      : { rules: 'patterns', markup: 'mentioning' },
};
