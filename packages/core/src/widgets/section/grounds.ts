import { EDGES, LAYERS, PRESET_USES } from '../../properties/index.ts';
import type { Part } from '../kit/element.ts';
import { h, type MarkupContext, type VElement } from '../kit/markup.ts';

export const groundParts: Readonly<Record<string, Part>> = {
  ...Object.fromEntries(
    Object.entries(PRESET_USES.ground.parts)
      .filter(([, { kind }]) => kind !== 'box')
      .map(([name, it]) => [name, { ...it, as: name, inside: 'box', placed: true } satisfies Part]),
  ),
};

const place = (part: string, sides: readonly string[]) =>
  Object.fromEntries(sides.map(side => [`${part}/${side}`, '0%']));

export const groundProgram: Readonly<Record<string, string>> = {
  ...Object.assign(
    {},
    ...LAYERS.map(part => ({
      ...place(part, ['top', 'right', 'bottom', 'left']),
      [`${part}/inFront`]: '-1',
      [`${part}/backgroundSize`]: 'cover',
      [`${part}/backgroundPositionX`]: 'center',
      [`${part}/backgroundPositionY`]: 'center',
      [`${part}/backgroundRepeat`]: 'no-repeat',
    })),
  ),
  'topEdge/inFront': '-1',
  'bottomEdge/inFront': '-1',
  ...place('topEdge', ['top', 'right', 'left']),
  ...place('bottomEdge', ['right', 'bottom', 'left']),
  'topEdge/height': '3rem',
  'bottomEdge/height': '3rem',
  'topEdge/edgeShape': 'straight',
  'bottomEdge/edgeShape': 'straight',
  // What stands in it fills it.
  'topEdge/display': 'grid',
  'bottomEdge/display': 'grid',
  'topEdge/gridColumns': '1',
  'bottomEdge/gridColumns': '1',
  'topEdge/overflowX': 'hidden',
  'bottomEdge/overflowX': 'hidden',
};

/** Sections, and what pages share, contain their layout, so places count from their box. Behind what the section holds, and out of the pointer's way. */
const BEHIND = 'position:absolute;pointer-events:none';
export const groundBase: Readonly<Record<string, string>> = {
  ...Object.fromEntries(LAYERS.map(part => [part, BEHIND])),
  topEdge: BEHIND,
  bottomEdge: `${BEHIND};transform:scaleY(-1)`,
};

/** The layers and edges that somebody speaks of, the lowest first. */
export const groundMarkup = (context: MarkupContext): VElement[] => [
  ...LAYERS.filter(part => context.speaks(part)).map(part => h('div', { part, 'aria-hidden': 'true' })),
  ...Object.entries(EDGES)
    .filter(([part]) => context.speaks(part))
    .map(([part, neighbour]) => h('div', { part, 'aria-hidden': 'true' }, { neighbour })),
];
