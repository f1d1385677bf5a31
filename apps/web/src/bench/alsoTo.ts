import {
  type Contributions,
  contributionsTo,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nodeScope,
  partOf,
  type Site,
} from '@cove/core';
import { createContext, useContext, useMemo } from 'react';

const NONE: readonly Id[] = [];

/** Things picked beside the one on the bench: what is set there goes to them too. */
export const AlsoTo = createContext<readonly Id[]>(NONE);

/** Of those the ones that have a part. */
export const havingPart = (site: Site, ids: readonly Id[], part: string): Id[] =>
  ids.filter(id => {
    const node = getRecord(site, id);
    return isNode(node) && partOf(elementOfNode(node), part) !== undefined;
  });

/** Of those the ones of one element, which have its variants. */
export const ofElement = (site: Site, ids: readonly Id[], element: string): Id[] =>
  ids.filter(id => {
    const node = getRecord(site, id);
    return isNode(node) && elementOfNode(node).name === element;
  });

export const useAlsoTo = (): readonly Id[] => useContext(AlsoTo);

/** All that is said about one part of each of the other selected things that has it. */
export function useSaidOfOthers(site: Site, page: Id | null, part: string): readonly Contributions[] {
  const also = useAlsoTo();
  return useMemo(
    () =>
      page === null
        ? []
        : havingPart(site, also, part).flatMap(id => {
            const scope = nodeScope(site, page, id);
            return scope ? [contributionsTo(site, scope, part)] : [];
          }),
    [site, page, also, part],
  );
}
