import { type ElementType, maybeElement } from '../widgets/index.ts';
import type { Area } from './records.ts';

/** The element that sections of an area are. */
export const elementOfArea = (area: Area): ElementType => {
  const type = maybeElement(area === 'main' ? 'section' : area);
  if (!type) throw new Error(`no element for ${area}`);
  return type;
};
