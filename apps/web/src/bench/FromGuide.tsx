import { FACETS, type PropertyRow as Row, type Value } from '@cove/core';
import type { ReactNode } from 'react';
import { FACET_NAMES } from './facetNames.ts';

/** What the guide says, facet by facet. */
export function FromGuide({
  rows,
  children,
}: {
  rows: readonly (readonly [Row, Value | null])[];
  children(row: Row, value: Value | null): ReactNode;
}) {
  return (
    <section aria-label="From the guide" className="px-3.5 py-3">
      <h3 className="label-line pb-1">From the guide</h3>
      {FACETS.map(facet => {
        const list = rows.filter(([row]) => row.facet === facet);
        return (
          list.length > 0 && (
            <div key={facet} className="pb-2">
              <h4 className="text-small text-muted">{FACET_NAMES[facet]}</h4>
              <ul>{list.map(([row, value]) => children(row, value))}</ul>
            </div>
          )
        );
      })}
    </section>
  );
}
