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
import { useSearchParams } from 'react-router';
import { useSession } from '../session/context.tsx';

export interface Picked {
  node: Id;
  part: string;
}

const NONE: readonly Id[] = [];
/** What is picked shows at once: the next key may already mean it. */
const AT_ONCE = { replace: true, flushSync: true } as const;

/** What is picked on a page: one thing and a part of it, and others beside it; with the state and width it is shown in. */
export function useSelection(site: Site, page: Id) {
  const session = useSession();
  const [params, setParams] = useSearchParams();
  const [situation, setSituation] = useState<{ state: State; width: Width }>({
    state: 'rest',
    width: 'wide',
  });
  const [others, setOthers] = useState<readonly Id[]>(NONE);
  const nodeId = params.get('node');
  const record = nodeId === null ? undefined : getRecord(site, nodeId);
  const part = params.get('part');
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

  const pick = useCallback(
    (next: Picked | null) => {
      setOthers(NONE);
      setParams(next ? { node: next.node, part: next.part } : {}, AT_ONCE);
      const target = next && getRecord(session.site, next.node);
      if (next && isNode(target))
        setSituation(now =>
          now.state === 'rest' || statesOf(elementOfNode(target), next.part).includes(now.state)
            ? now
            : { ...now, state: 'rest' },
        );
    },
    [session, setParams],
  );
  const pickNode = useCallback(
    (id: Id) => {
      const it = getRecord(session.site, id);
      if (isNode(it)) pick({ node: id, part: firstPart(elementOfNode(it)) });
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
        else {
          pickNode(next);
          setOthers(rest);
        }
      } else setOthers(nodes.slice(1).includes(id) ? others.filter(it => it !== id) : [...others, id]);
    },
    [picked, page, nodes, others, pick, pickNode],
  );
  const pickAll = useCallback(
    (ids: readonly Id[]) => {
      const [first, ...rest] = ids;
      if (first === undefined) return;
      pickNode(first);
      setOthers(rest);
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
    (name: string) => picked && setParams({ node: picked.node, part: name }, AT_ONCE),
    [picked, setParams],
  );
  return { picked, openPart, nodes, situation, setSituation, pick, pickNode, pickAll, pickOnPage, toggle };
}
export type Selection = ReturnType<typeof useSelection>;
