import { groupBy } from '../../lists/index.ts';
import { byOrder, type Id, type NodeRecord, newId } from '../../site/index.ts';
import { elementNamed } from '../../widgets/index.ts';

type Thing = readonly NodeRecord[];

/** A record and all that stands in it, each once, whatever the records say of each other. */
function within(top: NodeRecord, inside: ReadonlyMap<Id, Thing>, taken: Set<NodeRecord>): Thing {
  const found = [top];
  taken.add(top);
  for (const { id } of found)
    for (const it of inside.get(id) ?? [])
      if (!taken.has(it)) {
        taken.add(it);
        found.push(it);
      }
  return found;
}

/**
 * Things of which an item that does not fit is what carries its content, and then each of the widgets that stood in it.
 * `names` are the elements of such items. Each thing is a record with all that stands in it, itself first.
 */
export function loosenItems(
  things: readonly Thing[],
  fits: (node: NodeRecord) => boolean,
): { things: readonly Thing[]; names: readonly string[] } {
  const names: string[] = [];
  const loosened = things.flatMap((nodes): readonly Thing[] => {
    const [root] = nodes;
    if (root?.kind !== 'widget' || fits(root)) return [nodes];
    const { loose } = elementNamed(root.widget);
    if (!loose) return [nodes];
    names.push(root.widget);
    const said = loose(root.content).map(
      ({ widget, content }): Thing => [
        {
          id: newId('w'),
          kind: 'widget',
          widget,
          at: root.at,
          content: content ?? elementNamed(widget).begins,
          variants: {},
          wears: {},
          styles: {},
        },
      ],
    );
    const inside = groupBy(nodes, it => it.at.parent);
    const taken = new Set<NodeRecord>([root]);
    const inner = (inside.get(root.id) ?? [])
      .filter(it => it !== root)
      .toSorted((a, b) => byOrder({ id: a.id, order: a.at.order }, { id: b.id, order: b.at.order }));
    return [...said, ...inner.map(it => within(it, inside, taken))];
  });
  return { things: loosened, names };
}
