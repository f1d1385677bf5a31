import {
  type Color,
  literalContext,
  literalOf,
  NO_REBINDS,
  printCss,
  type Site,
  type Value,
} from '@cove/core';

/** A size in px at the widest or at the narrowest, for drawing it; 0 for what is no length. */
export function drawnSize(site: Site, value: Value, end: 'max' | 'min' = 'max'): number {
  const literal = literalOf(site.kinds.token, NO_REBINDS, value);
  const length =
    literal?.type === 'fluid' ? literal[end] : literal?.type === 'dimension' ? literal.value : null;
  return length ? length.value * (length.unit === 'px' ? 1 : 16) : 0;
}

export function colorOfToken(site: Site, id: string): Color | null {
  const end = literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id });
  return end?.type === 'color' ? end.value : null;
}

/** Names of families as CSS has them. */
export const familyCss = (value: Value): string =>
  value.type === 'fontFamily' ? value.value.map(name => `"${name}"`).join(', ') : 'inherit';

/** A value as CSS for the tray, which stands on no scheme: what asks for a role is drawn in the colour of the text. */
export const drawnCss = (site: Site, value: Value): string =>
  printCss(value, literalContext(site, { scheme: '', rebinds: NO_REBINDS }));
