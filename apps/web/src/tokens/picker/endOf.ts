import {
  type Color,
  lengthInPx,
  literalOf,
  NO_REBINDS,
  printNumber,
  printPainted,
  printTyped,
  roleIn,
  roleValue,
  type Scope,
  type Site,
  shortPath,
  type Value,
} from '@cove/core';

/** The literal that a value comes to where it is set; null for what leads nowhere. */
export function endOf(site: Site, scope: Scope | null, value: Value | null): Value | null {
  if (!value) return null;
  const bound =
    value.type !== 'role' ? value : scope && (roleValue(site, scope.scheme, value.role)?.value ?? null);
  return bound && (literalOf(site.kinds.token, scope?.rebinds ?? NO_REBINDS, bound) ?? null);
}

/** The colour a value ends in where it is set; null for what shows none. */
export function colorOf(site: Site, scope: Scope | null, value: Value | null): Color | null {
  const end = endOf(site, scope, value);
  return end?.type === 'color' ? end.value : null;
}

type Length = Extract<Value, { type: 'dimension' }>['value'];

const lengthText = (length: Length, digits = 2): string => {
  const px = lengthInPx(length);
  return px === null
    ? `${printNumber(length.value)}${length.unit}`
    : `${printNumber(Number(px.toFixed(digits)))}px`;
};

/** A literal as people say it: `24px`, `16–28px`, `#c9d5e3`, `140ms`, the first of some families. */
export function literalText(end: Value): string {
  switch (end.type) {
    case 'color':
      return printPainted(end.value);
    case 'dimension':
      return lengthText(end.value);
    case 'fluid': {
      const [least, most] = [lengthText(end.min, 1), lengthText(end.max, 1)];
      return least.endsWith('px') && most.endsWith('px')
        ? `${least.slice(0, -2)}–${most}`
        : `${least}–${most}`;
    }
    case 'fontFamily':
      return end.value[0] ?? '';
    case 'shadow':
      return `${end.value.length} layer${end.value.length === 1 ? '' : 's'}`;
    case 'gradient':
      return `${end.stops.length} stops`;
    default:
      return printTyped(end, new Map());
  }
}

/** What a field shows of a value: the shortest name of a token that is read as that token, else what would be typed. */
export function shownText(site: Site, value: Value | null, reads: (text: string) => Value | null): string {
  if (!value) return '';
  if (value.type === 'picture') return site.kinds.asset.get(value.asset)?.name ?? '';
  if (value.type === 'pattern') return site.kinds.drawing.get(value.drawing)?.name ?? '';
  if (value.type === 'role') {
    const label = roleIn(site, value.role)?.label ?? '';
    const read = reads(label);
    if (read?.type === 'role' && read.role === value.role) return label;
  }
  const token = value.type === 'token' ? site.kinds.token.get(value.token) : undefined;
  if (!token) return printTyped(value, site.kinds.token);
  const means = (text: string) => {
    const read = reads(text);
    return read?.type === 'token' && read.token === token.id;
  };
  const short = shortPath(site.kinds.token, token.id);
  return [token.name, short].find(means) ?? printTyped(value, site.kinds.token);
}

/** Least and most of a length in px; null for what is none, or depends on where it stands. */
export const lengthsOf = (end: Value): readonly [number, number] | null => {
  if (end.type === 'dimension') {
    const px = lengthInPx(end.value);
    return px === null ? null : [px, px];
  }
  if (end.type !== 'fluid') return null;
  const [least, most] = [lengthInPx(end.min), lengthInPx(end.max)];
  return least === null || most === null ? null : [Math.min(least, most), Math.max(least, most)];
};

/** The longest of some lengths in px, to which all of them are drawn. */
export const longest = (ends: Iterable<Value>): number => {
  let most = 1;
  for (const end of ends) most = Math.max(most, lengthsOf(end)?.[1] ?? 0);
  return most;
};
