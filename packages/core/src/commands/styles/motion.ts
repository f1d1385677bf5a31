import { isMovement, MOVEMENTS, type MovementName } from '../../properties/index.ts';
import type { Edit, Site } from '../../site/index.ts';
import { keyword, type Value } from '../../values/index.ts';
import { type StyleTarget, setSlots, targetId } from './styles.ts';

const SECTION: StyleTarget = { type: 'default', element: 'section' };
const PART = 'inner';

/** How sections come into view; null where they simply stand there. */
export function entranceOf(site: Site): MovementName | null {
  const value = site.kinds.default.get(targetId(SECTION))?.styles[`${PART}/animationName`];
  const name = value?.type === 'keyword' ? value.value : '';
  return isMovement(name) && MOVEMENTS[name].use === 'entrance' ? name : null;
}

/**
 * Lets what stands in sections come in as they are scrolled into view, without a script: the movement runs with the view and
 * is over when the section stands whole. Where a browser knows no such timeline nothing moves.
 */
export function setEntrance(site: Site, movement: MovementName | null): Edit[] {
  const set = (value: Value) => (movement === null ? null : value);
  return setSlots(site, SECTION, {
    [`${PART}/animationName`]: set(keyword(movement ?? 'none')),
    [`${PART}/animationTimeline`]: set(keyword('view')),
    [`${PART}/animationRangeEnd`]: set(keyword('entry')),
    [`${PART}/animationFillMode`]: set(keyword('backwards')),
    [`${PART}/animationTimingFunction`]: set(keyword('ease-out')),
  });
}
