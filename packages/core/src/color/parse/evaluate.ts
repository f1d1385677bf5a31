import type { Color, ColorSpaceId, Triple } from '../color.ts';
import { convert } from '../convert.ts';
import { coordsOf, hueAt, interpolate, type Partial3 } from '../interpolate.ts';
import { POWERLESS } from '../mix.ts';
import { type Expression, evaluateChannel } from './quantity.ts';
import type { ColorSyntax, MixPart, Shape } from './syntax.ts';

/** What a reference stands for; null where it leads to no colour. */
export type Lookup = (reference: ColorSyntax & { type: 'reference' }) => Color | null;

const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));
const turn = (degrees: number): number =>
  degrees >= 0 && degrees < 360 ? degrees : ((degrees % 360) + 360) % 360;

const known = (it: Partial3): Color => ({ space: it.space, coords: coordsOf(it), alpha: it.alpha ?? 0 });

/** Chroma, or what is like it, below which a hue says nothing (CSS Color 4, sections 7 to 9). */
function isPowerless(space: ColorSpaceId, [, b, c]: Triple): boolean {
  switch (space) {
    case 'hsl':
      return b < 0.001;
    case 'hwb':
      return b + c >= 99.999;
    case 'lch':
      return b < 0.0015;
    case 'oklch':
      return b < POWERLESS;
    default:
      return false;
  }
}

/** In another space; a hue that says nothing there is missing (CSS Color 4, section 12.2), and what was missing stays so where it is the like. */
function partialIn(it: Partial3, space: ColorSpaceId): Partial3 {
  if (it.space === space) return it;
  const { coords } = convert(known(it), space);
  const [a, b, c] = coords;
  const here = hueAt(space);
  const there = hueAt(it.space);
  const missing =
    here !== null && (isPowerless(space, coords) || (there !== null && it.coords[there] === null));
  return {
    space,
    coords: [missing && here === 0 ? null : a, b, missing && here === 2 ? null : c],
    alpha: it.alpha,
  };
}

/** The channels that a relative colour may name. */
function channelsOf(origin: Color, { space, divide, channels }: Shape): Record<string, number> {
  const { coords, alpha } = convert(origin, space);
  const found: Record<string, number> = { alpha };
  for (const i of [0, 1, 2] as const) {
    const isHue = hueAt(space) === i;
    found[channels[i]] = isHue && isPowerless(space, coords) ? 0 : coords[i] * divide;
  }
  return found;
}

/** One channel in the space's own measure; null where it is missing, undefined where it is none. */
function channelAt(
  expression: Expression,
  i: 0 | 1 | 2,
  { space, full, divide }: Shape,
  names: Readonly<Record<string, number>>,
): number | null | undefined {
  const found = evaluateChannel(expression, names);
  if (found === null) return undefined;
  if (found === 'none') return null;
  const isHue = hueAt(space) === i;
  if (found.unit === 'deg') return isHue ? turn(found.value) : undefined;
  if (found.unit === '%') return isHue ? undefined : (found.value / 100) * full[i];
  return isHue ? turn(found.value) : found.value / divide;
}

/** Ranges that CSS clamps when it reads: rgb channels, saturation, lightness, chroma. What is relative stays as it comes out. */
function tidy(space: ColorSpaceId, [a, b, c]: Triple, legacy: boolean): Triple {
  switch (space) {
    case 'hsl':
      return [a, legacy ? clamp(b, 0, 100) : Math.max(0, b), legacy ? clamp(c, 0, 100) : c];
    case 'hwb':
      return [a, Math.max(0, b), Math.max(0, c)];
    case 'lab':
      return [clamp(a, 0, 100), b, c];
    case 'lch':
      return [clamp(a, 0, 100), Math.max(0, b), c];
    case 'oklab':
      return [clamp(a, 0, 1), b, c];
    case 'oklch':
      return [clamp(a, 0, 1), Math.max(0, b), c];
    default:
      return [a, b, c];
  }
}

/** Beyond what sRGB holds, `hsl()` and `rgb()` are cut at its edge channel by channel, as browsers keep them (CSS Color 4, section 15). */
function cut(color: Color): Color {
  const { coords } = convert(color, 'srgb');
  if (coords.every(v => v >= -1e-9 && v <= 1 + 1e-9)) return color;
  const [r, g, b] = coords;
  return { space: 'srgb', coords: [clamp(r, 0, 1), clamp(g, 0, 1), clamp(b, 0, 1)], alpha: color.alpha };
}

function evaluateChannels(it: ColorSyntax & { type: 'channels' }, lookup: Lookup): Partial3 | null {
  const { shape, from, legacy } = it;
  const origin = from && evaluate(from, lookup);
  if (from && !origin) return null;
  const names = origin ? channelsOf(known(origin), shape) : {};
  const at = (i: 0 | 1 | 2) => channelAt(it.channels[i], i, shape, names);
  const [a, b, c] = [at(0), at(1), at(2)];
  if (a === undefined || b === undefined || c === undefined) return null;
  const alphaOf = (): number | null | undefined => {
    if (!it.alpha) return origin ? origin.alpha : 1;
    const found = evaluateChannel(it.alpha, names);
    if (found === null || (found !== 'none' && found.unit === 'deg')) return undefined;
    return found === 'none' ? null : clamp(found.unit === '%' ? found.value / 100 : found.value, 0, 1);
  };
  const alpha = alphaOf();
  if (alpha === undefined) return null;
  const { space } = shape;
  const partial: Partial3 = { space, coords: [a, b, c], alpha };
  const tidied = tidy(space, coordsOf(partial), legacy);
  if (space === 'srgb' || space === 'hsl' || space === 'hwb') {
    const color: Color = { space, coords: tidied, alpha: alpha ?? 0 };
    // Relative ones are kept as `color(srgb …)`, whatever their channels (CSS Color 5, section 4.3).
    if (origin) return { ...convert(color, 'srgb'), alpha };
    const inside = shape.divide === 255 || space !== 'srgb' ? cut(color) : color;
    if (inside !== color) return { ...inside, alpha };
  }
  const [x, y, z] = tidied;
  return { space, coords: [a === null ? null : x, b === null ? null : y, c === null ? null : z], alpha };
}

/** Shares of the two, which are 1 together, and what is left of alpha where their per cents do not fill up (CSS Color 5, section 3.1). */
function sharesOf([{ percent: p }, { percent: q }]: readonly [MixPart, MixPart]): {
  second: number;
  alpha: number;
} | null {
  const first = p ?? (q === null ? 50 : 100 - q);
  const second = q ?? 100 - first;
  const sum = first + second;
  return sum === 0 ? null : { second: second / sum, alpha: Math.min(1, sum / 100) };
}

function evaluateMix(it: ColorSyntax & { type: 'mix' }, lookup: Lookup): Partial3 | null {
  const [a, b] = it.parts.map(({ color }) => evaluate(color, lookup));
  const shares = sharesOf(it.parts);
  if (!a || !b || !shares) return null;
  const mixed = interpolate(partialIn(a, it.space), partialIn(b, it.space), shares.second, it.arc);
  const alpha = mixed.alpha === null ? null : mixed.alpha * shares.alpha;
  return it.space === 'hsl' || it.space === 'hwb'
    ? { ...convert(known(mixed), 'srgb'), alpha }
    : { ...mixed, alpha };
}

/** What a written colour comes to; null where a reference leads nowhere or a channel makes no sense. */
export function evaluate(it: ColorSyntax, lookup: Lookup): Partial3 | null {
  switch (it.type) {
    case 'color':
      return it.color;
    case 'channels':
      return evaluateChannels(it, lookup);
    case 'mix':
      return evaluateMix(it, lookup);
    case 'lightDark':
      // What a page uses that says nothing else (CSS Color Adjustment 1, section 2).
      return evaluate(it.light, lookup);
    case 'reference':
      return lookup(it) ?? (it.fallback && evaluate(it.fallback, lookup));
  }
}

/** The colour that a written one comes to; what is missing counts as 0 (CSS Color 4, section 4.4). */
export function colorOf(it: ColorSyntax, lookup: Lookup): Color | null {
  const found = evaluate(it, lookup);
  return found && known(found);
}
