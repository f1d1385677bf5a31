import { printPainted } from '../color/index.ts';
import type { TokenGroupRecord, TokenRecord } from '../site/records.ts';
import { slug, tokenPath } from '../site/tokenNames.ts';
import type { Length, ShadowLayer, Value } from '../values/index.ts';
import { literalOf, NO_REBINDS, type Tokens } from './graph.ts';
import { printTyped } from './text.ts';

/** Key under which we keep, in `$extensions`, what the format has no words for. */
export const OURS = 'example.cove-thread';

export type Json = {
  [key: string]: Json | string | number | boolean | readonly Json[] | readonly (number | string)[];
};

/** Tokens as Design Tokens Format Module 2025.10: groups and tokens by their names. */
export type DesignTokens = Json;

/** The format knows px and rem only; other units have no place in a dimension token. */
const length = ({ value, unit }: Length): Json | null =>
  unit === 'px' || unit === 'rem' ? { value, unit } : null;

/** `missing` are the places of components that are `none`, which a colour has 0 for (Color Module 2025.10, section 4.1). */
function colorObject(value: Value & { type: 'color' }, missing = ''): Json {
  const { space, coords, alpha } = value.value;
  return {
    colorSpace: space,
    components: coords.map((part, i) => (part === 0 && missing.includes(String(i)) ? 'none' : part)),
    ...(alpha < 1 && { alpha }),
    // For tools that show sRGB alone: what visitors see (Color Module 2025.10, section 4.1).
    hex: printPainted({ ...value.value, alpha: 1 }),
  };
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

/** `$value` of a literal, of a growing size the greater end; null where the format cannot say it. */
export function designValue(
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

/** A token as the format has it, with its note as its description; null where the format cannot say its value. */
function entry({ type, value, note, purpose, carried }: TokenRecord, tokens: Tokens): Json | null {
  const end = literalOf(tokens, NO_REBINDS, value);
  const isAlias = value.type === 'token';
  const written = isAlias
    ? `{${tokenPath(tokens, value.token)}}`
    : end?.type === 'color'
      ? colorObject(end, carried?.missing)
      : end && designValue(end, tokens);
  if (written === null || end === null) return null;
  const kept: Json = {
    ...(value.type === 'derived'
      ? { derived: printTyped(value, tokens) }
      : isAlias
        ? {}
        : end.type === 'fluid'
          ? { fluid: printTyped(end, tokens) }
          : end.type === 'gradient'
            ? { gradient: printTyped(end, tokens) }
            : {}),
    ...(purpose && { purpose }),
  };
  return {
    $type: type,
    $value: written,
    ...(note && { $description: note }),
    ...(carried?.deprecated !== undefined && { $deprecated: carried.deprecated }),
    ...extensions(carried?.extensions, kept),
  };
}

/** Ours beside those of other programs, which go out as they came in. */
function extensions(foreign: string | undefined, kept: Json): { $extensions?: Json } {
  const others: Json = foreign === undefined ? {} : JSON.parse(foreign);
  const all: Json = { ...others, ...(Object.keys(kept).length > 0 && { [OURS]: kept }) };
  return Object.keys(all).length > 0 ? { $extensions: all } : {};
}

/** The lesser end of a growing size, which the format has no words for: a token of its own beside it. */
function leastOf({ name, value }: TokenRecord, path: string, tokens: Tokens): Json | null {
  const end = value.type === 'token' ? null : literalOf(tokens, NO_REBINDS, value);
  const written = end?.type === 'fluid' ? length(end.min) : null;
  return (
    written && {
      $type: 'dimension',
      $value: written,
      $description: `The lesser end of ${name}.`,
      $extensions: { [OURS]: { leastOf: path } },
    }
  );
}

/**
 * The guide's tokens as Design Tokens Format Module 2025.10. Aliases stay aliases; a derived token is written as the value it
 * ends in, a growing size as two tokens of which the second has `-least` behind its name; what they were made of stands under
 * `$extensions`. What is noted on groups and tokens is their description.
 */
export function toDesignTokens(
  tokens: Tokens,
  groups: Iterable<Pick<TokenGroupRecord, 'name' | 'note' | 'purpose' | 'extends'>> = [],
): DesignTokens {
  const root: Json = {};
  const groupAt = (steps: readonly string[]): Json => {
    let group: Json = root;
    for (const step of steps) {
      const inner = group[step];
      const next: Json = isGroup(inner) ? inner : {};
      group[step] = next;
      group = next;
    }
    return group;
  };
  for (const token of tokens.values()) {
    const it = entry(token, tokens);
    if (!it) continue;
    const path = tokenPath(tokens, token.id);
    const steps = path.split('.');
    const name = steps.pop() ?? token.id;
    groupAt(steps)[name] = it;
  }
  for (const token of tokens.values()) {
    const path = tokenPath(tokens, token.id);
    const steps = path.split('.');
    const group = groupAt(steps.slice(0, -1));
    const least = leastOf(token, path, tokens);
    let name = `${steps.at(-1)}-least`;
    while (Object.hasOwn(group, name)) name = `${name}-size`;
    if (least) group[name] = least;
  }
  for (const { name, note, purpose, extends: from } of groups) {
    const step = slug(name);
    for (const [first, kind] of Object.entries(root)) {
      if (!isGroup(kind)) continue;
      let group = kind[step];
      if (!isGroup(group)) continue;
      const base = from === undefined ? undefined : kind[slug(from)];
      if (from !== undefined && isGroup(base) && base !== group) {
        group = extending(group, base, `{${first}.${slug(from)}}`);
        kind[step] = group;
      }
      if (note) group.$description = note;
      if (purpose) group.$extensions = { [OURS]: { purpose } };
    }
  }
  return root;
}

/** A group that says what it takes over, without what it would take over as it is (section 6.4). */
function extending(group: Json, base: Json, from: string): Json {
  const own = Object.entries(group).filter(([key, it]) => JSON.stringify(it) !== JSON.stringify(base[key]));
  return { $extends: from, ...Object.fromEntries(own) };
}

const isGroup = (it: unknown): it is Json => typeof it === 'object' && it !== null && !Array.isArray(it);
