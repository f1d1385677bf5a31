import { fail, ok, type Result } from '../result/index.ts';
import {
  type CssContext,
  type LiteralType,
  printCss,
  type TokenType,
  tokenTypeOf,
  type Value,
} from '../values/index.ts';
import { COLOR } from './color.ts';
import { EFFECT } from './effect.ts';
import { LAYOUT } from './layout.ts';
import { LINE } from './line.ts';
import { MOTION } from './motion.ts';
import type { Facet, Property } from './property.ts';
import { SPACE } from './space.ts';
import { TYPE } from './type.ts';

export { ALLOWED_DECLARATIONS } from './allowedDeclarations.ts';
export { BUNDLES, type Bundle, bundleOf } from './bundles.ts';
export {
  isMovement,
  MOVEMENT_NAMES,
  MOVEMENTS,
  type MovementName,
  movementsIn,
  printKeyframes,
} from './movements.ts';
export {
  type ControlName,
  type Facet,
  isPresetKind,
  PART_KINDS,
  type PartKind,
  type ScaleUse,
} from './property.ts';

const TABLE = [...TYPE, ...COLOR, ...SPACE, ...LINE, ...LAYOUT, ...EFFECT, ...MOTION] as const;
export type PropertyName = (typeof TABLE)[number]['name'];
export type PropertyRow = Property<PropertyName>;

export const PROPERTIES: readonly PropertyRow[] = TABLE;
const BY_NAME = new Map<string, PropertyRow>(PROPERTIES.map(row => [row.name, row]));
const BY_CSS = new Map<string, PropertyRow>(PROPERTIES.map(row => [row.css, row]));

export const FACETS: readonly Facet[] = ['type', 'color', 'space', 'line', 'layout', 'effect', 'motion'];

export const isProperty = (name: string): name is PropertyName => BY_NAME.has(name);
export const propertyOf = (name: PropertyName): PropertyRow => {
  const row = BY_NAME.get(name);
  if (!row) throw new Error(`no property ${name}`);
  return row;
};
export const propertyByCss = (css: string): PropertyRow | undefined => BY_CSS.get(css);

/** Whether a text style can hold it: all of type, and a line above or below with its distance. */
export const inTextStyle = (row: PropertyRow): boolean => row.facet === 'type' || row.ofText === true;

/** Type of token a property can take a reference to. */
export const tokenTypesOf = (row: PropertyRow): readonly TokenType[] => [
  ...new Set(row.accepts.flatMap(type => tokenTypeOf(type) ?? [])),
];

const NAMES: Record<LiteralType, string> = {
  color: 'a colour such as #2a3d66 or oklch(0.4 0.1 260)',
  dimension: 'a length such as 1.5rem or 12px',
  fluid: 'two lengths such as 1rem .. 2rem',
  number: 'a number',
  duration: 'a time such as 140ms',
  cubicBezier: 'cubic-bezier(0.2, 0, 0, 1)',
  fontFamily: 'a family name',
  shadow: 'a shadow such as 0 2px 8px #0003',
  gradient: 'linear-gradient(160deg, #fff, #000) or radial-gradient(#fff, #000)',
  picture: 'picture(NAME) of the site',
  pattern: 'pattern(NAME, INK) of a drawing',
  position: 'two places, across and down, such as 30% 20%',
  keyword: 'a word',
};

/** What a property takes, in words. */
export function expectedOf({ accepts, keywords = [], min, max }: PropertyRow): string {
  const range =
    min !== undefined && max !== undefined ? ` from ${min} to ${max}` : min === 0 ? ', not below 0' : '';
  const types = accepts.map(type => NAMES[type]).join(' or ');
  return [types && types + range, keywords.length > 0 && `one of ${keywords.join(', ')}`]
    .filter(Boolean)
    .join(', or ');
}
export const expectedType = (type: LiteralType): string => NAMES[type];

/** Whether a property takes a value; references are checked by type where tokens are known. */
export function accepts(row: PropertyRow, value: Value): Result<Value> {
  const refuse = () =>
    fail({
      code: 'bad-value',
      message: `${row.label} takes ${expectedOf(row)}.`,
      expected: expectedOf(row),
      found: value.type,
    });
  const inRange = (n: number) =>
    (row.min === undefined || n >= row.min) && (row.max === undefined || n <= row.max);
  switch (value.type) {
    case 'keyword':
      return row.keywords?.includes(value.value) ? ok(value) : refuse();
    case 'role':
      return row.accepts.includes('color') ? ok(value) : refuse();
    case 'token':
    case 'derived':
      return row.accepts.length > 0 ? ok(value) : refuse();
    case 'textStyle':
      return refuse();
    case 'dimension':
      if (value.value.unit === 'fr') return refuse();
      return row.accepts.includes('dimension') && inRange(value.value.value) ? ok(value) : refuse();
    case 'fluid':
      return row.accepts.includes('fluid') && inRange(value.min.value) && inRange(value.max.value)
        ? ok(value)
        : refuse();
    case 'number':
      return row.accepts.includes('number') &&
        inRange(value.value) &&
        (row.whole !== true || Number.isInteger(value.value))
        ? ok(value)
        : refuse();
    default:
      return row.accepts.includes(value.type) ? ok(value) : refuse();
  }
}

/** CSS text of a value in a property. */
export function printDeclaration(row: PropertyRow, value: Value, context: CssContext): string {
  const text = printCss(value, context);
  return row.print && text !== 'none' ? row.print(text) : text;
}
export {
  EDGES,
  isPresetUse,
  LAYERS,
  namedPart,
  PRESET_USE_NAMES,
  PRESET_USES,
  type PresetUse,
} from './namedParts.ts';
