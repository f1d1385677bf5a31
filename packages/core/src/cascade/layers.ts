import { LAYERS } from '../properties/index.ts';
import type { Site } from '../site/index.ts';
import { partNames, partOf } from '../widgets/index.ts';
import { type Contributions, contributionsTo, winner } from './resolve.ts';
import type { Scope } from './scope.ts';
import { sourcesOf, speaksOf } from './sources.ts';

/** Whether anybody but the program says something of a part, so that one which is only drawn then is drawn. */
export function isSpokenOf(site: Site, scope: Scope, part: string): boolean {
  const named = partOf(scope.element, part)?.as;
  return sourcesOf(site, scope).some(source => {
    if (!source.on || source.origin === 'program') return false;
    const name = source.byKind ? named : part;
    return name !== undefined && speaksOf(site, source, name);
  });
}

/** Whether some part of an element looks different under a pointer, as anybody has it. */
export const respondsToPointer = (site: Site, scope: Scope): boolean =>
  partNames(scope.element).some(part =>
    [...contributionsTo(site, scope, part).values()].some(all =>
      all.some(it => it.on && it.state === 'hover'),
    ),
  );

/** How far in front a layer is that nobody has moved; later ones of the list lie over it all the same. */
export const UNMOVED = -1;

/** Layers by how they lie, the uppermost first. */
export const layersInOrder = (used: readonly string[], saidOf: (layer: string) => Contributions): string[] =>
  used
    .map(layer => {
      const value = winner(saidOf(layer).get('inFront'), 'rest', 'wide')?.value;
      return {
        layer,
        nth: LAYERS.indexOf(layer),
        inFront: value?.type === 'number' ? value.value : UNMOVED,
      };
    })
    .sort((a, b) => b.inFront - a.inFront || b.nth - a.nth)
    .map(it => it.layer);

const NONE: readonly string[] = [];
/** Layers behind an element that somebody speaks of, the uppermost first. */
export function layersBehind(site: Site, scope: Scope): readonly string[] {
  const used = LAYERS.filter(it => Object.hasOwn(scope.element.parts, it) && isSpokenOf(site, scope, it));
  return used.length === 0 ? NONE : layersInOrder(used, it => contributionsTo(site, scope, it));
}
