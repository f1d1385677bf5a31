import type { PresetRecord, TextStyleRecord } from '../site/kinds/index.ts';
import type { Value } from '../values/index.ts';
import { keyword } from '../values/index.ts';
import { fontParts } from './fontShorthand.ts';
import type { Found, Reader } from './reader.ts';
import { BadToken, isNode, type Node } from './tree.ts';
import { READERS } from './values.ts';

type Styles = TextStyleRecord['styles'];
type Path = readonly string[];

/** The value of a token of several parts, an alias to another such token followed to its end. */
function partsOf(reader: Reader, it: Found, type: string): Node {
  const given = reader.partsOf(it).follow(reader.valueOf(it), [], type);
  const value = (type === 'typography' && typeof given === 'string' && fontParts(given)) || given;
  if (!isNode(value)) throw new BadToken([], `${type} is an object.`, '{…}');
  return value;
}

function part(reader: Reader, it: Found, given: unknown, path: Path, type: string): Value {
  const parts = reader.partsOf(it);
  const read = READERS[type];
  if (!read) throw new BadToken(path, `There is no type ${type}.`);
  return parts.reference(given, path, type) ?? read(given, path, parts);
}

const percent = (it: unknown): number | null => {
  const text = typeof it === 'string' ? /^(-?[\d.]+)%$/.exec(it.trim())?.[1] : undefined;
  return text === undefined ? null : Number(text) / 100;
};

/** A line height is a number; other spellings give a length, or a share of the size. */
function lineHeight(reader: Reader, it: Found, given: unknown, path: Path): Value {
  const share = percent(given);
  if (share !== null) return { type: 'number', value: share };
  const named = reader.typeIn(it, given);
  const isLength =
    named === null
      ? isNode(given) || (typeof given === 'string' && /[a-z]\s*$/i.test(given))
      : named === 'dimension';
  return part(reader, it, given, path, isLength ? 'dimension' : 'number');
}

function letterSpacing(reader: Reader, it: Found, given: unknown, path: Path): Value {
  const share = percent(given);
  return share === null
    ? part(reader, it, given, path, 'dimension')
    : { type: 'dimension', value: { value: share, unit: 'em' } };
}

/** A `typography` token as slots of a text style (section 9.7); `said` are the properties that it says itself. */
export function typography(reader: Reader, it: Found, said: readonly string[] | null): Styles {
  const written = partsOf(reader, it, 'typography');
  const styles: Record<string, Value> = {};
  for (const key of ['fontFamily', 'fontSize', 'fontWeight', 'letterSpacing', 'lineHeight'] as const) {
    const given = written[key];
    if (given === undefined || (said && !said.includes(key))) continue;
    styles[`/${key}`] =
      key === 'lineHeight'
        ? lineHeight(reader, it, given, [key])
        : key === 'letterSpacing'
          ? letterSpacing(reader, it, given, [key])
          : part(reader, it, given, [key], key === 'fontSize' ? 'dimension' : key);
  }
  if (Object.keys(styles).length === 0 && !said)
    throw new BadToken(
      [],
      'Typography says a family, a size or a weight.',
      '{"fontFamily": …, "fontSize": …}',
    );
  return styles;
}

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;
/** Styles that a line can have (section 9.2), and those the guide draws them as. */
const LINES: Readonly<Record<string, string>> = {
  solid: 'solid',
  dashed: 'dashed',
  dotted: 'dotted',
  double: 'double',
  groove: 'solid',
  ridge: 'solid',
  outset: 'solid',
  inset: 'solid',
};

function lineStyle(reader: Reader, it: Found, given: unknown, path: Path): Value {
  const written = reader.partsOf(it).follow(given, path, 'strokeStyle');
  // Dashes of given lengths have no place in CSS borders: they are dashes.
  if (isNode(written) && Array.isArray(written.dashArray)) return keyword('dashed');
  const style = typeof written === 'string' && Object.hasOwn(LINES, written) ? LINES[written] : undefined;
  if (style === undefined)
    throw new BadToken(path, 'This is not a style of line.', Object.keys(LINES).join(', '));
  if (style !== written) reader.tell('read', it, `A line that is ${String(written)} is drawn as ${style}.`);
  return keyword(style);
}

const onSides = (property: 'Width' | 'Style' | 'Color', value: Value): [string, Value][] =>
  SIDES.map(side => [`box/border${side}${property}`, value]);

function border(reader: Reader, it: Found): PresetRecord['styles'] {
  const written = partsOf(reader, it, 'border');
  for (const key of ['color', 'width', 'style'])
    if (written[key] === undefined)
      throw new BadToken([], `A border needs ${key}.`, '{"color": …, "width": …, "style": "solid"}');
  return Object.fromEntries([
    ...onSides('Width', part(reader, it, written.width, ['width'], 'dimension')),
    ...onSides('Style', lineStyle(reader, it, written.style, ['style'])),
    ...onSides('Color', part(reader, it, written.color, ['color'], 'color')),
  ]);
}

function transition(reader: Reader, it: Found): PresetRecord['styles'] {
  const written = partsOf(reader, it, 'transition');
  if (written.duration === undefined)
    throw new BadToken([], 'A transition needs duration.', '"duration": {"value": 140, "unit": "ms"}');
  const delay = written.delay === undefined ? null : part(reader, it, written.delay, ['delay'], 'duration');
  if (delay && !(delay.type === 'duration' && delay.value === 0))
    reader.tell('read', it, 'A guide has no delays: this one begins at once.');
  return {
    'box/transitionDuration': part(reader, it, written.duration, ['duration'], 'duration'),
    ...(written.timingFunction !== undefined && {
      'box/transitionTimingFunction': part(
        reader,
        it,
        written.timingFunction,
        ['timingFunction'],
        'cubicBezier',
      ),
    }),
  };
}

/** Types of several parts that become a preset (sections 9.2, 9.3, 9.4). */
export const AS_PRESET: Readonly<Record<string, (reader: Reader, it: Found) => PresetRecord['styles']>> = {
  border,
  transition,
  strokeStyle: (reader, it) =>
    Object.fromEntries(onSides('Style', lineStyle(reader, it, reader.valueOf(it), []))),
};
