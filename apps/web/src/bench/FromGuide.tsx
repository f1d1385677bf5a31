import { FACETS, type Facet } from '@cove/core';
import { useDeferredValue } from 'react';
import { Term } from '../glossary/Term.tsx';
import { Hint } from '../hints/Hint.tsx';
import { FACET_NAMES } from './facetNames.ts';
import type { Held } from './held.ts';
import { PropertyList, type Setting } from './PropertyList.tsx';

/** The facets that people set most on a kind of part come first. */
const FIRST: Readonly<Record<string, readonly Facet[]>> = {
  box: ['space', 'color', 'line', 'layout'],
  picture: ['layout', 'line', 'effect', 'space'],
  icon: ['color', 'layout', 'line', 'space'],
  ground: ['color', 'layout'],
  edge: ['effect', 'layout', 'color'],
};
const facetsFor = (kind: string): readonly Facet[] => [...new Set([...(FIRST[kind] ?? []), ...FACETS])];

/** Rows that are there as soon as something is picked: as many as there is room for below the head of the bench. */
const AT_ONCE = 8;

/** What the guide says, facet by facet; what lies below the fold comes right after what is seen. */
export function FromGuide({
  kind,
  list,
  ...setting
}: Setting & {
  /** The kind of the part that is set. */
  kind: string;
  list: readonly Held[];
}) {
  const isWhole = useDeferredValue(true, false);
  let room = isWhole ? Number.POSITIVE_INFINITY : AT_ONCE;
  return (
    <section aria-label="From the guide" className="px-3.5 py-3">
      <h3 className="label-line pb-1">From the guide</h3>
      <Hint name="thread">
        The line at the end of a row is its <Term word="Thread">thread</Term>. Press it to see where the value
        comes from.
      </Hint>
      {facetsFor(kind).map(facet => {
        const ofFacet = list.filter(({ row }) => row.facet === facet).slice(0, room);
        room -= ofFacet.length;
        return (
          ofFacet.length > 0 && (
            <div key={facet} className="pb-2">
              <h4 className="text-small text-muted">{FACET_NAMES[facet]}</h4>
              <PropertyList {...setting} list={ofFacet} />
            </div>
          )
        );
      })}
    </section>
  );
}
