import { contributionsTo, layersBehind, type Scope, scopeBehind, winner } from '../cascade/index.ts';
import type { Id, Site } from '../site/index.ts';
import type { Width } from '../slots/index.ts';
import type { Value } from '../values/index.ts';
import { partNames, partOf } from '../widgets/index.ts';

export type Picture = Value & { type: 'picture' };

/** A picture that lies behind a thing: what has it, and on which part. */
export interface PictureBehind {
  node: Id;
  part: string;
  scope: Scope;
}

/** The picture that a part shows as its ground at a width, whoever says so. */
export function pictureAt(site: Site, { scope, part }: PictureBehind, width: Width): Picture | null {
  const value = winner(contributionsTo(site, scope, part).get('backgroundImage'), 'rest', width)?.value;
  return value?.type === 'picture' ? value : null;
}

const WIDTHS_DOWN: readonly Width[] = ['wide', 'medium', 'narrow'];

/** The nearest picture behind a thing, at any width: its own ground or that of what holds it. */
export function pictureBehind(site: Site, scope: Scope): PictureBehind | null {
  for (let at: Scope | null = scope; at; at = scopeBehind(at)) {
    const { node, element } = at;
    if (!node) continue;
    const boxes = partNames(element).filter(part => partOf(element, part)?.kind === 'box');
    for (const part of [...layersBehind(site, at), ...boxes.reverse()]) {
      const behind: PictureBehind = { node: node.id, part, scope: at };
      if (WIDTHS_DOWN.some(width => pictureAt(site, behind, width))) return behind;
    }
  }
  return null;
}
