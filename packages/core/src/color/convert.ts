import type { Color, ColorSpaceId, Triple } from './color.ts';
import { SPACES } from './spaces/index.ts';

function toXyz(space: ColorSpaceId, coords: Triple): Triple {
  let at = space;
  let c = coords;
  while (at !== 'xyz-d65') {
    c = SPACES[at].toBase(c);
    at = SPACES[at].base;
  }
  return c;
}

function fromXyz(space: ColorSpaceId, xyz: Triple): Triple {
  const { base, fromBase } = SPACES[space];
  return space === 'xyz-d65' ? xyz : fromBase(fromXyz(base, xyz));
}

/** The same colour in another space; the very object when it is there already. */
export function convert(color: Color, space: ColorSpaceId): Color {
  if (color.space === space) return color;
  return { space, coords: fromXyz(space, toXyz(color.space, color.coords)), alpha: color.alpha };
}
