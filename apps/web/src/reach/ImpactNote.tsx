import {
  type Edit,
  type Id,
  type Impact,
  nameOf,
  printRatio,
  propertyOf,
  roleIn,
  type Site,
  withRecords,
} from '@cove/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useSite } from '../session/context.tsx';
import { useImpact } from './useReach.ts';

const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
const MOST = 12;

interface Props {
  edits: readonly Edit[] | null;
  /** What they come to as it can be seen by now, such as with pictures that are not here yet. */
  shownAs?(site: Site): Site;
}

/** The site with the pages that edits would add, for their names. */
function withPages(site: Site, edits: readonly Edit[]): Site {
  const added = edits.flatMap(it =>
    it.op === 'put' && it.record.kind === 'page' ? [[it.record.id, it.record] as const] : [],
  );
  return added.length > 0 ? withRecords(site, new Map(added)) : site;
}

/** What some edits would alter, in words, before they are made. */
export function ImpactNote({ edits, ...more }: Props) {
  const site = useSite();
  const foreseen = useImpact(edits);
  if (!edits) return null;
  if (!foreseen)
    return (
      <p role="status" className="text-muted">
        Calculating what would change…
      </p>
    );
  if ('problem' in foreseen)
    return (
      <p role="alert" className="text-madder">
        {foreseen.problem.message}
      </p>
    );
  return <ImpactWords site={site} impact={foreseen.impact} edits={edits} {...more} />;
}

/** Two pages drawn whole come when they are asked for. */
const BeforeAfter = lazy(async () => ({ default: (await import('./BeforeAfter.tsx')).BeforeAfter }));

function ImpactWords({
  site,
  impact,
  edits,
  ...more
}: {
  site: Site;
  impact: Impact;
  edits: readonly Edit[];
} & Pick<Props, 'shownAs'>) {
  const [seen, setSeen] = useState<Id | null>(null);
  const named = useMemo(() => withPages(site, edits), [site, edits]);
  const { pages, nodes, added, removed, properties, failures } = impact;
  return (
    <div className="grid gap-1.5">
      <p>
        {nodes === 0
          ? 'Nothing on the pages would look different.'
          : `${counted(nodes, 'thing')} on ${counted(pages.length, 'page')} would look different.`}
        {added > 0 && ` ${counted(added, 'thing')} would be added.`}
        {removed > 0 && ` ${counted(removed, 'thing')} would go.`}
      </p>
      {properties.length > 0 && (
        <p className="text-muted">
          {properties
            .slice(0, MOST)
            .map(
              ({ property, count }) =>
                `${property === 'unfollowed' ? 'not followed' : propertyOf(property).label.toLowerCase()} ${count}`,
            )
            .join(' · ')}
        </p>
      )}
      {pages.length > 0 && (
        <ul className="thin-scroll max-h-28 overflow-auto">
          {pages.map(({ page, nodes: changed }) => (
            <li key={page} className="flex justify-between gap-2 text-muted">
              <button
                type="button"
                aria-label={`Before and after of ${nameOf(named, page)}`}
                className="truncate text-left hover:text-teal hover:underline"
                onClick={() => setSeen(page)}
              >
                {nameOf(named, page)}
              </button>
              <span className="font-mono text-[11px]">{changed.length}</span>
            </li>
          ))}
        </ul>
      )}
      {seen !== null && (
        <Suspense>
          <BeforeAfter edits={edits} pages={pages} first={seen} onClose={() => setSeen(null)} {...more} />
        </Suspense>
      )}
      {failures.length > 0 && (
        <div role="alert">
          <p className="font-semibold">{counted(failures.length, 'new contrast failure')}</p>
          <ul className="thin-scroll max-h-24 overflow-auto">
            {failures.map(({ scheme, role, on, ratio, wanted }) => (
              <li key={`${scheme} ${role} ${on}`} className="flex justify-between gap-2">
                <span className="truncate">
                  {roleIn(site, role)?.label ?? role} on {nameOf(site, scheme)}
                </span>
                <span className="font-mono text-[11px]">
                  {printRatio(ratio)} of {wanted}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
