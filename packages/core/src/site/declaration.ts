import { STATES, type State, WIDTHS, type Width } from '../slots/index.ts';

/** Where a declaration of one's own stands: as a slot, but for the CSS property, which the table does not know. */
export interface DeclarationParts {
  part: string;
  state: State;
  width: Width;
  css: string;
}

/** `part:state@width/css-property`; rest and wide are left out. */
export const printDeclarationKey = ({ part, state, width, css }: DeclarationParts): string =>
  `${part}${state === 'rest' ? '' : `:${state}`}${width === 'wide' ? '' : `@${width}`}/${css}`;

const KEY = /^([a-zA-Z]+)(?::([a-z]+))?(?:@([a-z]+))?\/([a-z]+(?:-[a-z]+)*)$/;

export function parseDeclarationKey(key: string): DeclarationParts | null {
  const match = KEY.exec(key);
  if (!match) return null;
  const [, part = '', stateName = 'rest', widthName = 'wide', css = ''] = match;
  const state = STATES.find(it => it === stateName);
  const width = WIDTHS.find(it => it === widthName);
  if (!state || !width || match[2] === 'rest' || match[3] === 'wide') return null;
  return { part, state, width, css };
}
