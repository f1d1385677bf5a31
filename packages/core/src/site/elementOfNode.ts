import { type ElementType, elementNamed } from '../widgets/index.ts';
import { elementOfArea } from './area.ts';
import type { NodeRecord } from './records.ts';

/** What a section or widget is an instance of. */
export const elementOfNode = (node: NodeRecord): ElementType =>
  node.kind === 'section' ? elementOfArea(node.area) : elementNamed(node.widget);
