import { element, programStyles } from '../kit/element.ts';
import { iconOf } from '../kit/icon.ts';
import { h } from '../kit/markup.ts';
import { dividerLooks } from './looks.ts';

const bare = (part: string, side: 'Top' | 'Left') => ({
  ...Object.fromEntries(
    ['Top', 'Right', 'Bottom', 'Left'].flatMap(it => [
      [`${part}/border${it}Width`, it === side ? '1px' : 0],
      [`${part}/border${it}Style`, it === side ? 'solid' : 'none'],
      [`${part}/border${it}Color`, it === side ? 'role.line' : 'currentcolor'],
      [`${part}/margin${it}`, 0],
    ]),
  ),
  [`${part}/display`]: 'block',
  [`${part}/overflowX`]: 'visible',
  [`${part}/color`]: 'role.line',
});

/** A line across, a line upright between things that stand side by side, or the brand's own mark between two lines. */
export const divider = element({
  name: 'divider',
  label: 'Divider',
  family: 'structure',
  about: 'A line between',
  words: 'line rule separator border',
  parts: {
    line: { label: 'Line across', kind: 'box' },
    upright: { label: 'Line upright', kind: 'box' },
    box: { label: 'Row with a mark', kind: 'box' },
    side: { label: 'Line beside the mark', kind: 'box', inside: 'box' },
    mark: { label: 'Mark', kind: 'icon', inside: 'box' },
  },
  axes: ['look'],
  looks: dividerLooks,
  holds: null,
  program: programStyles({
    ...bare('line', 'Top'),
    'line/width': '100%',
    ...bare('upright', 'Left'),
    'upright/minHeight': '2.5rem',
    'box/display': 'flex',
    'box/alignItems': 'center',
    'box/columnGap': '1rem',
    'box/width': '100%',
    ...bare('side', 'Top'),
    'side/width': '100%',
    'mark/display': 'block',
    'mark/width': '3rem',
    'mark/minHeight': '1px',
    'mark/color': 'role.accent',
    'mark/strokeWidth': 2,
    'mark/overflowX': 'hidden',
  }),
  content: {
    direction: { type: 'choice', label: 'Direction', options: ['across', 'upright'] },
    mark: { type: 'icon', label: 'Mark in the middle' },
  },
  sample: { direction: 'across', mark: null },
  begins: { direction: 'across', mark: null },
  markup: (content, context) => {
    const mark = iconOf('mark', content.mark, context);
    if (content.direction === 'upright')
      return h('div', { part: 'upright', role: 'separator', 'aria-orientation': 'vertical' });
    if (!mark) return h('hr', { part: 'line' });
    return h(
      'div',
      { part: 'box', role: 'separator' },
      h('span', { part: 'side' }),
      mark,
      h('span', { part: 'side' }),
    );
  },
});
