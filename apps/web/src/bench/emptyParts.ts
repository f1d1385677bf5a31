import type { ElementType, SiteRecord } from '@cove/core';
import { partNames, partOf } from '@cove/core';

const NONE: ReadonlySet<string> = new Set();

/** Parts of a widget that show nothing since nothing is said in them: their field is empty. */
export function emptyParts(element: ElementType | null, node: SiteRecord | undefined): ReadonlySet<string> {
  if (!element || node?.kind !== 'widget') return NONE;
  const fieldOf = (part: string): string | null => {
    const it = partOf(element, part);
    if (it?.shows) return it.shows;
    const type = it?.kind === 'picture' ? 'asset' : it?.kind === 'icon' ? 'icon' : null;
    const named = Object.entries(element.content).filter(([, field]) => field.type === type);
    return type && named.length === 1 ? (named[0]?.[0] ?? null) : null;
  };
  return new Set(
    partNames(element).filter(part => {
      const field = fieldOf(part);
      const value = field === null ? undefined : node.content[field];
      return field !== null && (value === undefined || value === null || value === '');
    }),
  );
}
