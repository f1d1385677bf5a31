import { type Scope, type Site, sectionsIn } from '@cove/core';
import { useMemo } from 'react';

/** Says of what stands in a header, footer or sidebar on how many pages it is seen: what is set here holds on all of them. */
export function SharedNote({ site, scope }: { site: Site; scope: Scope }) {
  const { area, section } = scope;
  const { page: pages } = site.kinds;
  const shown = useMemo(
    () =>
      area === 'main' || !section
        ? 0
        : [...pages.keys()].filter(id => sectionsIn(site, id, area).some(it => it.id === section.id)).length,
    [site, pages, area, section],
  );
  if (shown <= 1) return null;
  return (
    <p className="border-b border-hair bg-wash px-3.5 py-1.5">
      Shared {area}: shown on {shown} pages, and edited for all of them.
    </p>
  );
}
