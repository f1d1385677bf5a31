import { h, type MarkupAsset, type MarkupContext, type VElement } from './markup.ts';

/** A picture as a part, in as many sizes as it is published in; asked for when it is near. */
export function sized(asset: MarkupAsset, part: string, alt: string, context: MarkupContext): VElement {
  const sources = context.sources(asset, part);
  const img = h('img', {
    part,
    src: context.assetUrl(asset),
    srcset: sources?.srcset,
    sizes: sources?.sizes,
    width: asset.width,
    height: asset.height,
    alt,
    loading: 'lazy',
    decoding: 'async',
  });
  return sources ? h('picture', {}, h('source', { ...sources.modern, sizes: sources.sizes }), img) : img;
}
