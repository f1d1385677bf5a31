import type { TokenRecord } from '../../site/records.ts';
import { tokenPath } from '../../site/tokenNames.ts';
import type { Length, ShadowLayer, Value } from '../../values/index.ts';
import { literalOf, NO_REBINDS, type Tokens } from '../graph.ts';
import { printTyped } from '../text.ts';

/** Key under which we keep, in `$extensions`, what the format has no words for. */
export const OURS = 'example.cove-thread';

type Json = {
  [key: string]: Json | string | number | boolean | readonly Json[] | readonly number[] | readonly string[];
};

/** Tokens as Design Tokens Format Module 2025.10: groups and tokens by their names. */
export type DesignTokens = Json;

/** The format knows px and rem only; other units have no place in a dimension token. */
const length = ({ value, unit }: Length): Json | null =>
  unit === 'px' || unit === 'rem' ? { value, unit } : null;

function colorObject(value: Value & { type: 'color' }): Json {
  const { space, coords, alpha } = value.value;
  return { colorSpace: space, components: [...coords], ...(alpha < 1 && { alpha }) };
}

/** A colour inside a shadow or gradient: an alias stays one. */
const paint = (color: Value, tokens: Tokens): Json | string | null =>
  color.type === 'token'
    ? `{${tokenPath(tokens, color.token)}}`
    : color.type === 'color'
      ? colorObject(color)
      : null;

function layer(it: ShadowLayer, tokens: Tokens): Json | null {
  const color = paint(it.color, tokens);
  const [offsetX, offsetY, blur, spread] = [length(it.x), length(it.y), length(it.blur), length(it.spread)];
  return color && offsetX && offsetY && blur && spread
    ? { color, offsetX, offsetY, blur, spread, ...(it.inset && { inset: true }) }
    : null;
}

/** `$value` of a literal; null where the format cannot say it. */
function literal(
  value: Value,
  tokens: Tokens,
): Json | string | number | readonly Json[] | readonly number[] | readonly string[] | null {
  switch (value.type) {
    case 'color':
      return colorObject(value);
    case 'dimension':
      return length(value.value);
    case 'fluid':
      return length(value.max);
    case 'number':
      return value.value;
    case 'duration':
      return { value: value.value, unit: 'ms' };
    case 'cubicBezier':
      return [...value.value];
    case 'fontFamily':
      return [...value.value];
    case 'gradient': {
      const stops = value.stops.map(({ color, at }): Json | null => {
        const written = paint(color, tokens);
        return written === null ? null : { color: written, position: at };
      });
      return stops.every(it => it !== null) ? stops : null;
    }
    case 'shadow': {
      const layers = value.value.map(it => layer(it, tokens)).filter(it => it !== null);
      return layers.length === value.value.length ? layers : null;
    }
    default:
      return null;
  }
}

function entry({ type, value }: TokenRecord, tokens: Tokens): Json | null {
  if (value.type === 'token') return { $type: type, $value: `{${tokenPath(tokens, value.token)}}` };
  const end = literalOf(tokens, NO_REBINDS, value);
  const written = end && literal(end, tokens);
  if (written === null || end === null) return null;
  const kept =
    value.type === 'derived'
      ? { derived: printTyped(value, tokens) }
      : end.type === 'fluid'
        ? { fluid: printTyped(end, tokens) }
        : end.type === 'gradient'
          ? { gradient: printTyped(end, tokens) }
          : null;
  return { $type: type, $value: written, ...(kept && { $extensions: { [OURS]: kept } }) };
}

/**
 * The guide's tokens as Design Tokens Format Module 2025.10. Aliases stay aliases; a derived or growing token is written
 * as the value it ends in, with what it was made of under `$extensions`.
 */
export function toDesignTokens(tokens: Tokens): DesignTokens {
  const root: Json = {};
  for (const token of tokens.values()) {
    const it = entry(token, tokens);
    if (!it) continue;
    const steps = tokenPath(tokens, token.id).split('.');
    const name = steps.pop() ?? token.id;
    let group: Json = root;
    for (const step of steps) {
      const inner = group[step];
      const next: Json = isGroup(inner) ? inner : {};
      group[step] = next;
      group = next;
    }
    group[name] = it;
  }
  return root;
}
const isGroup = (it: unknown): it is Json => typeof it === 'object' && it !== null && !Array.isArray(it);
