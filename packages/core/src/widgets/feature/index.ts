import { element } from '../kit/element.ts';
import { featureLooks } from './looks.ts';
import { pointingOut, pointingOutMarkup } from './shape.ts';

/** One thing that is pointed out. */
export const feature = element({
  ...pointingOut,
  name: 'feature',
  label: 'Feature',
  looks: featureLooks,
  markup: (content, context) => pointingOutMarkup('div', content, context),
});
