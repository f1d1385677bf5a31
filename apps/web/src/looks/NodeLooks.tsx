import { elementOfNode, type Id, type NodeRecord, type Site } from '@cove/core';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { LookSheet } from './LookSheet.tsx';
import { nodeLooks } from './nodeLooks.ts';

/** The looks that a thing on a page can take, with its own words and pictures; choosing one dresses it at once. */
export function NodeLooks({
  site,
  page,
  node,
  onClose,
}: {
  site: Site;
  page: Id;
  node: NodeRecord;
  onClose(): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const mayGuide = useMay('guide');
  const element = elementOfNode(node);
  const looks = useMemo(
    () => nodeLooks(site, page, node, mayGuide, session.id),
    [site, page, node, mayGuide, session],
  );
  if (!looks) return null;
  return (
    <LookSheet
      title={`Looks for this ${element.label.toLowerCase()}`}
      about="Shown with its own text and pictures. A ready-made look becomes a variant of the guide when you choose it."
      looks={looks}
      wide={element.holds !== null}
      onTake={option => {
        const edits = option.edits(session.site);
        if (edits.length === 0) toast.error('It has as many presets as it can wear. Take one off first.');
        else commit(edits, `Choose ${option.label}`);
      }}
      onClose={onClose}
    />
  );
}
