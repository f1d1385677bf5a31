import {
  type Area,
  addWidget,
  duplicateNodes,
  type Edit,
  elementNamed,
  getRecord,
  groupNodes,
  type Id,
  isItem,
  isNode,
  joinSections,
  joinTexts,
  moveNodes,
  nameOf,
  nodesUnder,
  nudge,
  outermost,
  placeFor,
  type Result,
  removeNodes,
  type Site,
  sectionsIn,
  splitSection,
  ungroup,
  WIDGETS,
  withArticle,
} from '@cove/core';
import { useMemo } from 'react';
import { toast } from 'sonner';
import type { Selection } from '../onPage/useSelection.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { useClipboard } from './useClipboard.ts';

/** The area that a thing stands in. */
export function areaOf(site: Site, id: Id): Area | null {
  let at = getRecord(site, id);
  while (at?.kind === 'widget') at = getRecord(site, at.at.parent);
  return at?.kind === 'section' ? at.area : null;
}

const DIRECTIONS: Readonly<Record<string, 'up' | 'down' | 'in' | 'out'>> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowRight: 'in',
  ArrowLeft: 'out',
};

type Keys = Pick<KeyboardEvent, 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'preventDefault'>;

/** What can be done with the things that are picked, by button, by key and by the clipboard. */
export function useActs(site: Site, page: Id, { picked, nodes, pick, pickNode, pickAll }: Selection) {
  const commit = useCommit();
  const session = useSession();
  const mayContent = useMay('content');
  const mayChoose = useMay('choice');
  const mayAll = useMay('guide');

  const called = (ids: readonly Id[]): string =>
    ids.length === 1 ? nameOf(session.site, ids[0] ?? '') : `${ids.length} things`;

  /** Keeps an edit; where a thing comes to stand in what all pages share, that is said. */
  const keep = (edits: readonly Edit[], label: string, moved: readonly Id[] = []): boolean => {
    const before = moved.map(id => areaOf(session.site, id));
    if (!commit(edits, label)) return false;
    const to = moved.map(id => areaOf(session.site, id)).find((area, i) => area !== before[i]);
    if (to && to !== 'main') toast(`Now in the ${to}: it shows on every page that has it.`);
    else if (to) toast('No longer shared: it shows on this page only.');
    return true;
  };
  const run = (result: Result<Edit[]>, label: string, moved: readonly Id[] = []) => {
    if (!result.ok) toast.error(result.problem.message);
    else if (result.value.length > 0) keep(result.value, label, moved);
  };

  const remove = (ids: readonly Id[] = nodes) => {
    const gone = outermost(session.site, ids);
    const last = getRecord(session.site, gone.at(-1) ?? '');
    if (!isNode(last)) return;
    const siblings = nodesUnder(session.site, last.at.parent).filter(
      id => id === last.id || !gone.includes(id),
    );
    const index = siblings.indexOf(last.id);
    const next = siblings[index + 1] ?? siblings[index - 1] ?? last.at.parent;
    const label = `Delete ${called(gone)}`;
    if (commit(removeNodes(session.site, gone), label)) pickNode(next);
  };
  const duplicate = () => {
    const made = duplicateNodes(session.site, nodes);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Duplicate ${called(nodes)}`)) pickAll(made.value.ids);
  };
  const group = () => {
    const made = groupNodes(session.site, nodes);
    if (!made.ok) toast.error(made.problem.message);
    else if (keep(made.value.edits, `Group ${called(nodes)}`, nodes)) pickNode(made.value.id);
  };
  const join = () => {
    const text = joinTexts(session.site, nodes);
    const made = text.ok ? text : joinSections(session.site, nodes);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, text.ok ? 'Make one text' : 'Make one section'))
      pickNode(made.value.id);
  };
  const part = () => {
    const made = splitSection(session.site, nodes[0] ?? '');
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, 'Split the section')) pickNode(made.value.id);
  };
  const split = () => {
    const made = ungroup(session.site, nodes[0] ?? '');
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Ungroup ${called(nodes)}`)) pickAll(made.value.ids);
  };
  const move = (ids: readonly Id[], parent: Id, index: number) =>
    run(moveNodes(session.site, ids, parent, index), `Move ${called(ids)}`, ids);

  /** From what is picked, else from the last section. */
  const from = (now: Site): Id | undefined => picked?.node ?? sectionsIn(now, page, 'main').at(-1)?.id;
  const addWidgetOf = (widget: string) => {
    const now = session.site;
    const place = placeFor(now, from(now) ?? '', widget);
    if (!place) {
      toast.error('Add a section first: widgets go into sections.');
      return;
    }
    const made = addWidget(now, place.parent, place.index, widget);
    if (commit(made.edits, `Add ${withArticle(elementNamed(widget).label)}`)) pickNode(made.id);
  };

  /** Widgets that can be added: items of what is picked first, the others where this person may choose. */
  const addable = useMemo(() => {
    const items = WIDGETS.filter(it => isItem(it) && placeFor(site, picked?.node ?? '', it.name) !== null);
    return mayContent ? [...items, ...(mayChoose ? WIDGETS.filter(it => !isItem(it)) : [])] : [];
  }, [site, picked, mayContent, mayChoose]);

  /** Taking things away or doubling them needs the right to all they bring. */
  const can = useMemo(() => {
    if (nodes.length === 0)
      return { remove: false, duplicate: false, group: false, ungroup: false, join: false, part: false };
    const grouped = groupNodes(site, nodes);
    const parted = nodes.length === 1 ? ungroup(site, nodes[0] ?? '') : null;
    const doubled = !mayAll && mayContent ? duplicateNodes(site, nodes) : null;
    return {
      remove: mayAll || session.mayMake(removeNodes(site, nodes)),
      duplicate: mayAll || (doubled?.ok === true && session.mayMake(doubled.value.edits)),
      group: mayChoose && grouped.ok,
      join:
        nodes.length > 1 &&
        [joinTexts(site, nodes), joinSections(site, nodes)].some(
          it => it.ok && mayChoose && (mayAll || session.mayMake(it.value.edits)),
        ),
      part: mayChoose && nodes.length === 1 && splitSection(site, nodes[0] ?? '').ok,
      ungroup: mayChoose && parted?.ok === true && (mayAll || session.mayMake(parted.value.edits)),
    };
  }, [site, session, nodes, mayAll, mayChoose, mayContent]);

  useClipboard({
    picked: nodes,
    place: node => {
      const now = session.site;
      const at = picked ? getRecord(now, picked.node) : undefined;
      if (node.kind === 'section') {
        let up = at;
        while (up?.kind === 'widget') up = getRecord(now, up.at.parent);
        const sections = sectionsIn(now, page, 'main').map(it => it.id);
        const index = isNode(up) ? sections.indexOf(up.id) + 1 : 0;
        return { parent: page, index: index === 0 ? sections.length : index };
      }
      // An item that finds no holder becomes plain widgets, which stand where a text can.
      return isNode(at) ? (placeFor(now, at.id, node.widget) ?? placeFor(now, at.id, 'text')) : null;
    },
    remove: ids => can.remove && remove(ids),
    onPasted: pickAll,
    mayPaste: mayChoose,
  });

  const nudgeAll = (direction: 'up' | 'down' | 'in' | 'out') => {
    const [only] = nodes;
    if (nodes.length === 1 && only !== undefined)
      run(nudge(session.site, only, direction), `Move ${called(nodes)}`, nodes);
    else if (nodes.length > 1 && (direction === 'up' || direction === 'down')) {
      // Several go as one, from where the first, or the last, of them stands.
      const ids = outermost(session.site, nodes);
      const edge = getRecord(session.site, (direction === 'up' ? ids[0] : ids.at(-1)) ?? '');
      if (!isNode(edge)) return;
      const siblings = nodesUnder(session.site, edge.at.parent);
      const before = siblings.slice(0, siblings.indexOf(edge.id)).filter(id => !ids.includes(id)).length;
      move(ids, edge.at.parent, Math.max(0, direction === 'up' ? before - 1 : before + 1));
    }
  };

  const onKey = (event: Keys) => {
    const direction = DIRECTIONS[event.key];
    const letter = event.ctrlKey || event.metaKey ? event.key.toLowerCase() : '';
    if (event.key === 'Escape') pick(null);
    else if (event.altKey && direction && mayContent) nudgeAll(direction);
    else if (event.key === 'Delete' || event.key === 'Backspace') {
      if (can.remove) remove();
    } else if (letter === 'd') {
      if (can.duplicate) duplicate();
    } else if (letter === 'g') {
      if (event.shiftKey ? can.ungroup : can.group) (event.shiftKey ? split : group)();
    } else return;
    event.preventDefault();
  };

  /** Whether they can be moved there by this person. */
  const canMove = (ids: readonly Id[], parent: Id, index: number): boolean => {
    if (mayAll) return true;
    const moved = moveNodes(session.site, ids, parent, index);
    return moved.ok && session.mayMake(moved.value);
  };

  return {
    can,
    remove,
    duplicate,
    group,
    ungroup: split,
    join,
    part,
    move,
    canMove,
    addable,
    addWidgetOf,
    onKey,
  };
}
export type Acts = ReturnType<typeof useActs>;
