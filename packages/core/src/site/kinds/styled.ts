import { parseSlot, type Styles } from '../../slots/index.ts';
import { parseDeclarationKey } from '../declaration.ts';
import type { Effects } from './effects.ts';

interface Styled {
  readonly styles: Styles;
  readonly declarations?: Readonly<Record<string, string>>;
}

/** The parts that a record says something of. */
const partsOf = ({ styles, declarations = {} }: Styled): string => {
  const parts = [
    ...Object.keys(styles).map(slot => parseSlot(slot)?.part),
    ...Object.keys(declarations).map(key => parseDeclarationKey(key)?.part),
  ];
  return [...new Set(parts)].sort().join(' ');
};

/** Whether two records say something of the same parts: which classes a part bears depends on that, not on what is said. */
export const sameParts = (was: Styled | undefined, is: Styled | undefined): boolean =>
  (was ? partsOf(was) : '') === (is ? partsOf(is) : '');

/** What follows from an edit of a rule of the guide. */
export const ruleEffects = (was: Styled | undefined, is: Styled | undefined): Effects => ({
  rules: 'source',
  markup: sameParts(was, is) ? 'none' : 'all',
});
