import type { Styles } from '../../slots/index.ts';
import { ELEMENTS } from '../../widgets/index.ts';
import { programStyles } from '../../widgets/kit/element.ts';

export { takeLook } from './takeLook.ts';

/** A look of a widget that a guide can take as a variant. */
export interface ReadyLook {
  element: string;
  axis: string;
  name: string;
  styles: Styles;
}

/** Ready looks of every widget. Misspelt ones throw when the program is loaded. */
export const READY_LOOKS: readonly ReadyLook[] = ELEMENTS.flatMap(({ name: element, axes, looks = {} }) =>
  Object.entries(looks).flatMap(([axis, named]) => {
    if (!axes.includes(axis)) throw new Error(`${element} has no axis ${axis}`);
    return Object.entries(named).map(([name, styles]) => ({
      element,
      axis,
      name,
      styles: programStyles({ ...styles }),
    }));
  }),
);

/** Those of one element. */
export const looksOf = (element: string): ReadyLook[] => READY_LOOKS.filter(it => it.element === element);
