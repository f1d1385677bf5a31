import type { Content } from '../../content/index.ts';
import { h, type MarkupContext, svg, type VElement } from './markup.ts';

/**
 * What stands in an icon's place: an icon of the set, a drawing of the brand's own, or a picture, which keeps its own
 * colours. Decorative, unless it has a name; null where nothing is chosen.
 */
export function iconOf(
  part: string,
  chosen: Content | undefined,
  context: MarkupContext,
  name = '',
): VElement | null {
  if (typeof chosen !== 'string') return null;
  const drawn = context.drawing(chosen);
  if (drawn) return svg(part, drawn, name);
  const picture = context.asset(chosen);
  if (!picture) return null;
  return h('img', {
    part,
    src: context.assetUrl(picture),
    width: picture.width,
    height: picture.height,
    alt: name,
  });
}
