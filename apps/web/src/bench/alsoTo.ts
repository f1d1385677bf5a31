import { elementOfNode, getRecord, type Id, isNode, partOf, type Site } from '@cove/core';
import { createContext, useContext } from 'react';

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
