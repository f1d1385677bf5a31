import { contributionsTo, nodeScope } from '../cascade/index.ts';
import { noEffect as measured } from '../measure/index.ts';
import { propertyOf } from '../properties/index.ts';
import {
  editAt,
  getRecord,
  isNode,
  type NodeKind,
  type NodeRecord,
  nameOf,
  nodesIn,
  SETTINGS,
  type Site,
} from '../site/index.ts';
import { parseSlot, type Slot } from '../slots/index.ts';
import { defineCheck, type Found } from './check.ts';

interface Facts {
  node: string;
  slot: Slot;
  why: string;
}

function ofNode(site: Site, page: string, node: NodeRecord): Found<Facts>[] {
  const slots = Object.keys(node.styles);
  const scope = slots.length > 0 ? nodeScope(site, page, node.id) : null;
  if (!scope) return [];
  return slots.flatMap((slot): Found<Facts>[] => {
    const at = parseSlot(slot);
    if (!at || at.property === 'textStyle') return [];
    const { part, state, width } = at;
    const said = contributionsTo(site, scope, part);
    const why = measured(propertyOf(at.property), { site, scope, part, said, state, width });
    return why === null
      ? []
      : [{ at: { record: node.id, path: `styles.${slot}`, page }, facts: { node: node.id, slot, why } }];
  });
}

export const noEffect = defineCheck<Facts>({
  id: 'no-effect',
  title: 'Values that do nothing where they stand',
  severity: 'note',
  thresholds: {},
  docs: 'CSS ignores some properties by how a part or what holds it is arranged: gaps outside of flex and grid, widths of inline text, and so on. Take the value away, or arrange the part otherwise.',
  dependsOn: ['section', 'widget', 'page', 'default', 'variant', 'variantRule', 'preset', 'textStyle'],
  run(site) {
    const [home = ''] = site.kinds.page.keys();
    return [...site.kinds.page.keys(), SETTINGS].flatMap(root =>
      nodesIn(site, root).flatMap(id => {
        const node = getRecord(site, id);
        return isNode(node) ? ofNode(site, root === SETTINGS ? home : root, node) : [];
      }),
    );
  },
  message: ({ node, slot, why }, site) => {
    const at = parseSlot(slot);
    const label = at && at.property !== 'textStyle' ? propertyOf(at.property).label : slot;
    return `${label} of ${nameOf(site, node)} does nothing here: ${why}`;
  },
  fixes: ({ facts: { node, slot } }) => [
    { label: 'Take it away', edits: [editAt<NodeKind>(node).unsetIn('styles', slot)] },
  ],
});
