import { type Color, ciede2000, convert, labOf, luminance, ratioOf, type Triple } from '../../color/index.ts';
import type { Id, TokenRecord } from '../../site/records.ts';
import { literalOf, NO_REBINDS, type Tokens } from '../../tokens/graph.ts';

/** A swatch with all that the solver asks of it, worked out once. */
export interface Paint {
  id: Id;
  name: string;
  group: string;
  color: Color;
  level: number;
  lab: Triple;
  lightness: number;
  chroma: number;
  hue: number;
}

export const paintOf = (
  id: Id,
  { name, group }: Pick<TokenRecord, 'name' | 'group'>,
  color: Color,
): Paint => {
  const [lightness, chroma, hue] = convert(color, 'oklch').coords;
  return { id, name, group, color, level: luminance(color), lab: labOf(color), lightness, chroma, hue };
};

/** Opaque swatches of the guide; aliases are left out, since what they name is there itself. */
export const paintsOf = (tokens: Tokens): Paint[] =>
  [...tokens.values()].flatMap(token => {
    if (token.type !== 'color' || token.value.type === 'token') return [];
    const end = literalOf(tokens, NO_REBINDS, token.value);
    return end?.type === 'color' && end.value.alpha === 1 ? [paintOf(token.id, token, end.value)] : [];
  });

export const ratio = (a: Paint, b: Paint): number => ratioOf(a.level, b.level);
export const apart = (a: Paint, b: Paint): number => ciede2000(a.lab, b.lab);
export const hueApart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);
