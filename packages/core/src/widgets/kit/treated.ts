import type { Part } from './element.ts';
import { h, type MarkupContext, type VNode } from './markup.ts';

/** What a treatment puts around a picture: a mount, and marks behind and before it that count their places from the mount. */
export const treatedParts = (inside: string, host?: string): Readonly<Record<string, Part>> => {
  const follows = host === undefined ? {} : { host };
  const mark = { kind: 'mark', inside: 'mount', placed: true, ...follows } as const;
  return {
    mount: { label: 'Mount', as: 'mount', kind: 'mark', inside, ...follows },
    markBehind: { label: 'Mark behind', as: 'markBehind', ...mark },
    markBefore: { label: 'Mark before', as: 'markBefore', ...mark },
  };
};

const atCorner = (part: string, sides: readonly string[], inFront: number) => ({
  ...Object.fromEntries(sides.map(side => [`${part}/${side}`, '-0.75rem'])),
  [`${part}/width`]: '4rem',
  [`${part}/height`]: '4rem',
  [`${part}/inFront`]: inFront,
  [`${part}/backgroundSize`]: 'contain',
  [`${part}/backgroundPositionX`]: 'center',
  [`${part}/backgroundPositionY`]: 'center',
  [`${part}/backgroundRepeat`]: 'no-repeat',
});
export const treatedProgram = {
  'mount/display': 'block',
  ...atCorner('markBehind', ['right', 'bottom'], -1),
  ...atCorner('markBefore', ['top', 'left'], 1),
};

const MARK = 'position:absolute;display:block;pointer-events:none';
/** Places are counted from the mount, and no mark leaves it for what lies behind (CSS Containment 2, section 3.2). */
export const treatedBase: Readonly<Record<string, string>> = {
  mount: 'contain:layout',
  markBehind: MARK,
  markBefore: MARK,
};

/** A picture, in a mount with the marks that somebody speaks of; by itself where nobody does. */
export function treated(picture: VNode, { speaks }: MarkupContext): VNode {
  const behind = speaks('markBehind');
  const before = speaks('markBefore');
  if (!behind && !before && !speaks('mount')) return picture;
  return h(
    'span',
    { part: 'mount' },
    behind && h('span', { part: 'markBehind', 'aria-hidden': 'true' }),
    picture,
    before && h('span', { part: 'markBefore', 'aria-hidden': 'true' }),
  );
}
