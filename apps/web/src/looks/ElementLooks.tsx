import type { ElementType, Id, Site } from '@cove/core';
import { takeLook } from '@cove/core/starters';
import { useMemo } from 'react';
import { useCommit, useSession } from '../session/context.tsx';
import { elementLooks } from './elementLooks.ts';
import { LookSheet } from './LookSheet.tsx';

/** Ready looks of an element, in the site's own words; one that is taken becomes a variant, chosen again it is opened. */
export function ElementLooks({
  site,
  element,
  scheme,
  onOpen,
  onClose,
}: {
  site: Site;
  element: ElementType;
  scheme: Id;
  onOpen(variant: Id): void;
  onClose(): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const looks = useMemo(
    () => elementLooks(site, element, scheme, session.id),
    [site, element, scheme, session],
  );
  return (
    <LookSheet
      title={`Ready looks: ${element.label.toLowerCase()}`}
      about="Shown with this site’s text. The look you choose becomes a variant tied to the guide’s own steps; choose it again to open it."
      looks={looks}
      wide={element.holds !== null}
      onTake={({ look }) => {
        const { id, edits } = takeLook(session.site, look);
        if (edits.length > 0) commit(edits, `Take ${look.name}`);
        else onOpen(id);
      }}
      onClose={onClose}
    />
  );
}
