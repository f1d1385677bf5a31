import {
  type Color,
  ciede2000,
  convert,
  type Gamut,
  labOf,
  luminance,
  ratioOf,
  type Triple,
} from '../../color/index.ts';
import type { Purpose } from '../../roles/index.ts';
import type { Id, TokenRecord } from '../../site/records.ts';
import { literalOf, NO_REBINDS, type Tokens } from '../../tokens/graph.ts';
import { type Groups, purposeIn } from '../purposes.ts';

/** A swatch with all that the solver asks of it, worked out once. */
export interface Paint {
  id: Id;
  name: string;
  group: string;
  purpose: Purpose;
  /** How it is worked out from others; null of what is not. */
  op: string | null;
  color: Color;
  /** Relative luminance as it is painted, on each kind of screen that is printed for. */
  levels: readonly number[];
  lab: Triple;
  lightness: number;
  chroma: number;
  hue: number;
}

export const levelsOf = (color: Color, gamuts: readonly Gamut[]): number[] =>
  gamuts.map(gamut => luminance(color, gamut));

export function paintOf(
  { id, name, group }: Pick<TokenRecord, 'id' | 'name' | 'group'>,
  purpose: Purpose,
  op: string | null,
  color: Color,
  gamuts: readonly Gamut[],
): Paint {
  const [lightness, chroma, hue] = convert(color, 'oklch').coords;
  const levels = levelsOf(color, gamuts);
  return { id, name, group, purpose, op, color, levels, lab: labOf(color), lightness, chroma, hue };
}

/** A swatch as paint; null where it shows no opaque colour. */
export function paintOfToken(
  tokens: Tokens,
  groups: Groups,
  token: TokenRecord | undefined,
  gamuts: readonly Gamut[],
): Paint | null {
  const end = token?.type === 'color' ? literalOf(tokens, NO_REBINDS, token.value) : null;
  if (!token || end?.type !== 'color' || end.value.alpha < 1) return null;
  const { purpose } = purposeIn(tokens, groups, token);
  return paintOf(
    token,
    purpose,
    token.value.type === 'derived' ? token.value.derivation.op : null,
    end.value,
    gamuts,
  );
}

/** Contrast on the screen on which it is least. */
export function ratio(a: readonly number[], b: readonly number[]): number {
  let least = Number.POSITIVE_INFINITY;
  for (const [i, level] of a.entries()) least = Math.min(least, ratioOf(level, b[i] ?? level));
  return least;
}
export const apart = (a: Paint, b: Paint): number => ciede2000(a.lab, b.lab);
