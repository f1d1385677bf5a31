import { elementOfNode } from './elementOfNode.ts';
import { type AssetRecord, isFileType } from './kinds/asset.ts';
import type { NodeRecord } from './records.ts';
import type { Site } from './site.ts';

/** The picture that a thing shows; undefined where it shows none. */
export function pictureIn({ kinds }: Pick<Site, 'kinds'>, node: NodeRecord | null): AssetRecord | undefined {
  if (node?.kind !== 'widget') return undefined;
  for (const [name, { type }] of Object.entries(elementOfNode(node).content)) {
    const id = type === 'asset' ? node.content[name] : null;
    const asset = typeof id === 'string' ? kinds.asset.get(id) : undefined;
    if (asset && !isFileType(asset.mime)) return asset;
  }
  return undefined;
}
