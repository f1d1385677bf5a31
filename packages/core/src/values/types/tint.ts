import { isNumber, isObject } from '../json.ts';
import type { Tint, Value } from '../value.ts';
import { printShare } from './share.ts';

/** `undefined` where it is ill-formed: null is a tint that is not there. */
export function readTint(it: unknown, readColor: (it: unknown) => Value | null): Tint | null | undefined {
  if (it === null) return null;
  if (!isObject(it) || !isNumber(it.share) || it.share < 0 || it.share > 1) return undefined;
  const color = readColor(it.color);
  return color ? { color, share: it.share } : undefined;
}

/** A colour and the share it covers, as typed: all of it where no share is given; null where it is none. */
export function parseTint(text: string, parseColor: (text: string) => Value | null): Tint | null {
  const written = /^(.*?)(?:\s+(\d+\.?\d*)%)?$/s.exec(text);
  const color = written?.[1] === undefined ? null : parseColor(written[1]);
  const share = written?.[2] === undefined ? 1 : Number(written[2]) / 100;
  return color && share <= 1 ? { color, share } : null;
}

export function typedTint({ color, share }: Tint, inside: (value: Value) => string): string {
  const printed = printShare(share);
  return printed === '100%' ? inside(color) : `${inside(color)} ${printed}`;
}

/** An image under a colour laid over it: CSS has no layer of one colour, so it is a gradient from it to itself. */
export function printTinted(image: string, tint: Tint | null, inside: (value: Value) => string): string {
  if (!tint) return image;
  const full = inside(tint.color);
  // CSS Color 5, section 3: mixed with `transparent`, so that it may be a reference.
  const color =
    tint.share === 1 ? full : `color-mix(in srgb, ${full} ${printShare(tint.share)}, transparent)`;
  return `linear-gradient(${color}, ${color}), ${image}`;
}

/** What stands in the brackets of `picture(…)` or `pattern(…)`; nothing where that is not what was typed. */
export const partsOfCall = (text: string, name: string, split: (inner: string) => string[]): string[] => {
  const inner = new RegExp(`^${name}\\((.*)\\)$`, 's').exec(text)?.[1];
  return inner === undefined ? [] : split(inner);
};
