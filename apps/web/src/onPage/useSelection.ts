import {
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isNode,
  type Site,
  type State,
  statesOf,
  type Width,
} from '@cove/core';
import { useCallback, useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useSession } from '../session/context.tsx';

export interface Picked {
  node: Id;
  part: string;
}

const NONE: readonly Id[] = [];
/** What is picked shows at once: the next key may already mean it. */
const AT_ONCE = { replace: true, flushSync: true } as const;

/** The state and width in which what is picked is shown. */
export interface PageSituation {
  state: State;
  width: Width;
}

/** Where a selection is found in an address: further things in its fragment, since there can be more than a server takes. */
function selectionIn(search: string, hash: string) {
  const params = new URLSearchParams(search);
  const also = new URLSearchParams(hash.slice(1)).get('also');
  return {
    nodeId: params.get('node'),
    part: params.get('part'),
    others: also ? [...new Set(also.split(','))] : NONE,
  };
}

const selectionAddress = (picked: Picked | null, also: readonly Id[]) => ({
  search: `?${new URLSearchParams({ ...picked })}`,
  hash: also.length > 0 ? `#also=${also.join(',')}` : '',
});

/** What is picked on a page, as its address says it: one thing and a part of it, and others beside it; with the state and width it is shown in. */
export function useSelection(site: Site, page: Id) {
  const session = useSession();
  const navigate = useNavigate();
  const { search, hash } = useLocation();
  const { nodeId, part, others } = useMemo(() => selectionIn(search, hash), [search, hash]);
  const [situation, setSituation] = useState<PageSituation>({ state: 'rest', width: 'wide' });
  const record = nodeId === null ? undefined : getRecord(site, nodeId);
  const picked = useMemo((): Picked | null => {
    if (nodeId === page) return { node: page, part: 'box' };
    if (nodeId === null || !isNode(record)) return null;
    const element = elementOfNode(record);
    return {
      node: nodeId,
      part: part !== null && Object.hasOwn(element.parts, part) ? part : firstPart(element),
    };
  }, [nodeId, record, part, page]);
  /** The thing on the bench first; the page itself is no thing on it. */
  const nodes = useMemo(
    () =>
      picked === null || picked.node === page
        ? NONE
        : [picked.node, ...others.filter(id => id !== picked.node && isNode(getRecord(site, id)))],
    [picked, others, site, page],
  );

  const go = useCallback(
    (next: Picked | null, also: readonly Id[]) => void navigate(selectionAddress(next, also), AT_ONCE),
    [navigate],
  );
  const pick = useCallback(
    (next: Picked | null, also: readonly Id[] = NONE) => {
      go(next, also);
      const target = next && getRecord(session.site, next.node);
      if (next && isNode(target))
        setSituation(now =>
          now.state === 'rest' || statesOf(elementOfNode(target), next.part).includes(now.state)
            ? now
            : { ...now, state: 'rest' },
        );
    },
    [session, go],
  );
  const pickNode = useCallback(
    (id: Id, also: readonly Id[] = NONE) => {
      const it = getRecord(session.site, id);
      if (isNode(it)) pick({ node: id, part: firstPart(elementOfNode(it)) }, also);
    },
    [session, pick],
  );
  /** Takes a thing to those that are picked, or away from them. */
  const toggle = useCallback(
    (id: Id) => {
      if (picked === null || picked.node === page) pickNode(id);
      else if (id === picked.node) {
        const [next, ...rest] = nodes.slice(1);
        if (next === undefined) pick(null);
        else pickNode(next, rest);
      } else go(picked, nodes.includes(id) ? others.filter(it => it !== id) : [...others, id]);
    },
    [picked, page, nodes, others, pick, pickNode, go],
  );
  const pickAll = useCallback(
    (ids: readonly Id[]) => {
      const [first, ...rest] = ids;
      if (first !== undefined) pickNode(first, rest);
    },
    [pickNode],
  );
  /** The first click picks the thing as a whole, a further one the part under the pointer. */
  const pickOnPage = useCallback(
    (hit: Picked | null) => {
      const target = hit && getRecord(session.site, hit.node);
      pick(
        hit && isNode(target) && picked?.node !== hit.node
          ? { node: hit.node, part: firstPart(elementOfNode(target)) }
          : hit,
      );
    },
    [session, picked, pick],
  );
  /** Another part of what is picked. */
  const openPart = useCallback(
    (name: string) => picked && go({ node: picked.node, part: name }, others),
    [picked, others, go],
  );
  return { picked, openPart, nodes, situation, setSituation, pick, pickNode, pickAll, pickOnPage, toggle };
}
export type Selection = ReturnType<typeof useSelection>;
