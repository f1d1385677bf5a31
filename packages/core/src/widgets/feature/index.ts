import { element } from '../kit/element.ts';
import { featureLooks } from './looks.ts';
import { clickedAsOne, pointingOut, pointingOutMarkup } from './shape.ts';

/** One thing that is pointed out. */
export const feature = element({
  ...pointingOut,
  name: 'feature',
  label: 'Feature',
  looks: featureLooks,
  css: clickedAsOne('feature'),
  markup: (content, context) => pointingOutMarkup('div', content, context),
});
