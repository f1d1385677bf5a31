import { clickedAsOne, pointingOut, pointingOutMarkup } from '../feature/shape.ts';
import { element } from '../kit/element.ts';

/** One of several that are pointed out side by side. */
export const card = element({
  ...pointingOut,
  name: 'card',
  label: 'Card',
  parts: { ...pointingOut.parts, box: { ...pointingOut.parts.box, states: ['alternate', 'hover'] } },
  onlyIn: ['cards'],
  css: clickedAsOne('card'),
  markup: (content, context) => pointingOutMarkup('li', content, context),
  loose: content => [{ widget: 'feature', content }],
});
