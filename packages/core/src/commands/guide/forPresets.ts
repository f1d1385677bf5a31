import { isPresetKind } from '../../properties/index.ts';
import { elementOfNode, type NodeRecord } from '../../site/index.ts';
import { parseSlot, type Slot } from '../../slots/index.ts';
import { partOf } from '../../widgets/index.ts';

/** Whether any preset could hold it: what lies behind a section, or beside a picture, belongs to its place or to a use. */
export function isForPresets(node: NodeRecord, slot: Slot): boolean {
  const part = parseSlot(slot)?.part;
  return part !== undefined && isPresetKind(partOf(elementOfNode(node), part)?.kind ?? '');
}
