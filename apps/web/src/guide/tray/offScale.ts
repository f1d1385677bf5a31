import { type Id, type Site, settingsOf, type TextStyleRecord } from '@cove/core';
import { drawnSize } from '../../drawings/drawn.ts';

/** Tokens of the type scale: the base, and what is a step of it. */
export function scaleSteps(site: Site): Id[] {
  const { textBase } = settingsOf(site);
  return [...site.kinds.token.values()]
    .filter(
      ({ id, value }) =>
        id === textBase ||
        (value.type === 'derived' && value.derivation.op === 'step' && value.derivation.from[0] === textBase),
    )
    .map(it => it.id);
}

/** Whether a style has a size of its own, which base and ratio do not move. */
export function isOffScale(site: Site, style: TextStyleRecord): boolean {
  const size = style.styles['/fontSize'];
  return size !== undefined && !(size.type === 'token' && scaleSteps(site).includes(size.token));
}

/** The step whose size at the widest comes nearest to that of a style. */
export function nearestStep(site: Site, style: TextStyleRecord): Id | null {
  const size = style.styles['/fontSize'];
  if (!size) return null;
  const wanted = drawnSize(site, size);
  const far = (id: Id) => Math.abs(Math.log(drawnSize(site, { type: 'token', token: id }) / wanted));
  return scaleSteps(site).sort((a, b) => far(a) - far(b))[0] ?? null;
}
