import { type Color, parseColor } from '../../color/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import { PURPOSES, type Purpose } from '../../roles/index.ts';
import { BASE_RANGE, RATIO_RANGE } from '../../type/index.ts';
import { lengthInPx, parseFamilies, parseLength } from '../../values/index.ts';

/** A colour of a brand, as its owner writes it. */
export interface BrandSwatch {
  name: string;
  /** A CSS colour. */
  color: string;
  purpose: Purpose;
}

/** What a brand says of itself; null for what it does not say. */
export interface Brand {
  swatches: readonly BrandSwatch[];
  /** Names of font families. */
  heading: string | null;
  text: string | null;
  code: string | null;
  /** Size of running text: a length. */
  base: string | null;
  /** By which each size of text is larger than the one before. */
  ratio: number | null;
  /** Radius of a small corner: a length. */
  corners: string | null;
  /** The step that all distances are multiples of: a length. */
  space: string | null;
}

export const NO_BRAND: Brand = {
  swatches: [],
  heading: null,
  text: null,
  code: null,
  base: null,
  ratio: null,
  corners: null,
  space: null,
};

/** Colours of one brand, and characters of a name. */
export const BRAND_LIMITS = { swatches: 40, name: 80, typed: 20_000 } as const;

/** Lengths that can be meant, in px. Common practice, no source. */
export const BRAND_RANGES = {
  base: { label: 'The base size', ...BASE_RANGE },
  corners: { label: 'Corners', from: 0, to: 200 },
  space: { label: 'Spacing', from: 1, to: 64 },
} as const;
export type BrandLength = keyof typeof BRAND_RANGES;

/** Reads a length of a brand: px where no unit is written. */
export function readBrandLength(what: BrandLength, text: string): Result<string> {
  const { label, from, to } = BRAND_RANGES[what];
  const length = parseLength(/[a-z%]/i.test(text) ? text : `${text}px`);
  const px = length && lengthInPx(length);
  if (!length || px === null)
    return fail({
      code: 'bad-length',
      message: `${label} takes a length in px or rem, such as ${what === 'base' ? '17px' : '4px'}.`,
      found: text,
      expected: 'a length in px or rem',
    });
  if (px < from || px > to)
    return fail({
      code: 'out-of-range',
      message: `${label} has to be between ${from}px and ${to}px.`,
      found: text,
      expected: `${from}px to ${to}px`,
    });
  return ok(`${length.value}${length.unit}`);
}

export function readRatio(text: string): Result<number> {
  const ratio = Number(text);
  return text.trim() !== '' && ratio >= RATIO_RANGE.from && ratio <= RATIO_RANGE.to
    ? ok(ratio)
    : fail({
        code: 'out-of-range',
        message: `The ratio has to be between ${RATIO_RANGE.from} and ${RATIO_RANGE.to}, such as 1.25.`,
        found: text,
        expected: `${RATIO_RANGE.from} to ${RATIO_RANGE.to}`,
      });
}

export const brandColor = ({ color }: BrandSwatch): Color | null => parseColor(color);

const isText = (it: unknown, most: number): it is string =>
  typeof it === 'string' && it.trim() !== '' && it.length <= most;
/** Whether a name can be that of one family. */
export const isFamily = (name: string): boolean => parseFamilies(name)?.value.length === 1;
const familyOrNull = (it: unknown): it is string | null =>
  it === null || (isText(it, BRAND_LIMITS.name) && isFamily(it));

const refused = (message: string) => fail({ code: 'bad-brand', message });

/** Reads a brand that was sent; refuses what the lines of the interface would not have made. */
export function readBrandData(it: unknown): Result<Brand> {
  if (typeof it !== 'object' || it === null || Array.isArray(it)) return refused('A brand is an object.');
  const {
    swatches,
    heading,
    text,
    code,
    base,
    ratio,
    corners,
    space,
  }: Partial<Record<keyof Brand, unknown>> = it;
  if (!Array.isArray(swatches) || swatches.length === 0 || swatches.length > BRAND_LIMITS.swatches)
    return refused(`A brand has one to ${BRAND_LIMITS.swatches} colours.`);
  const read: BrandSwatch[] = [];
  for (const swatch of swatches as readonly unknown[]) {
    const { name, color, purpose }: Partial<Record<keyof BrandSwatch, unknown>> =
      typeof swatch === 'object' && swatch !== null ? swatch : {};
    const known = PURPOSES.find(one => one === purpose);
    if (!isText(name, BRAND_LIMITS.name) || !isText(color, 200) || known === undefined || !parseColor(color))
      return refused('Each colour of a brand has a name, a CSS colour and a purpose.');
    read.push({ name: name.trim(), color, purpose: known });
  }
  if (!familyOrNull(heading) || !familyOrNull(text) || !familyOrNull(code))
    return refused('Fonts are names of families.');
  const lengths = { base, corners, space };
  const kept: Record<BrandLength, string | null> = { base: null, corners: null, space: null };
  for (const what of ['base', 'corners', 'space'] as const) {
    const value = lengths[what];
    if (value === null || value === undefined) continue;
    const length = typeof value === 'string' ? readBrandLength(what, value) : refused(`${what} is a length.`);
    if (!length.ok) return length;
    kept[what] = length.value;
  }
  // What is not said is left to the program.
  const asked = ratio === null || ratio === undefined ? null : readRatio(String(ratio));
  if (asked && !asked.ok) return asked;
  return ok({ swatches: read, heading, text, code, ...kept, ratio: asked ? asked.value : null });
}
