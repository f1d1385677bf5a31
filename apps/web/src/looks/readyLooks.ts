import { applyChange, type ElementType, type Id, type Site } from '@cove/core';
import { looksOf, type ReadyLook, takeLook } from '@cove/core/starters';

export interface Taken {
  look: ReadyLook;
  /** The variant that it is or would be. */
  id: Id;
  /** Whether the guide has it already. */
  known: boolean;
}

/** The site as it would be with every ready look of an element taken. */
export function withReadyLooks(site: Site, element: ElementType): { site: Site; looks: readonly Taken[] } {
  let shown = site;
  const looks = looksOf(element.name).flatMap((look): Taken[] => {
    const { id, edits } = takeLook(shown, look);
    const applied = applyChange(shown, { edits });
    if (!applied.ok) return [];
    shown = applied.value.site;
    return [{ look, id, known: edits.length === 0 }];
  });
  return { site: shown, looks };
}
