import type { Id } from '../site/index.ts';
import type { Styles } from '../slots/index.ts';
import { colorsIn, tokensIn, type Value } from '../values/index.ts';

/** Ids that styles name by themselves, before anything is followed. */
export interface Mentioned {
  tokens: ReadonlySet<Id>;
  roles: ReadonlySet<string>;
  textStyles: ReadonlySet<Id>;
  pictures: ReadonlySet<Id>;
  drawings: ReadonlySet<Id>;
}

const cache = new WeakMap<Styles, Mentioned>();

export function mentionedBy(styles: Styles): Mentioned {
  const known = cache.get(styles);
  if (known) return known;
  const tokens = new Set<Id>();
  const roles = new Set<string>();
  const textStyles = new Set<Id>();
  const pictures = new Set<Id>();
  const drawings = new Set<Id>();
  const note = (value: Value) => {
    if (value.type === 'role') roles.add(value.role);
    if (value.type === 'textStyle') textStyles.add(value.style);
    if (value.type === 'picture') pictures.add(value.asset);
    if (value.type === 'pattern') drawings.add(value.drawing);
    for (const color of colorsIn(value)) note(color);
    for (const id of tokensIn(value)) tokens.add(id);
  };
  for (const value of Object.values(styles)) note(value);
  const made = { tokens, roles, textStyles, pictures, drawings };
  cache.set(styles, made);
  return made;
}
