import type { At, Id } from '../records.ts';
import type { Site } from '../site.ts';

/** The page that something stands on; null for what all pages share. */
export function nodePage(node: { readonly at: At }, { kinds }: Site): Id | null {
  let { parent } = node.at;
  for (
    let at = kinds.section.get(parent) ?? kinds.widget.get(parent);
    at;
    at = kinds.section.get(parent) ?? kinds.widget.get(parent)
  )
    ({ parent } = at.at);
  return kinds.page.has(parent) ? parent : null;
}
