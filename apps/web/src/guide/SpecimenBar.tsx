import { type Site, schemesInOrder } from '@cove/core';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';
import { type Across, columnsFor } from './columns.ts';
import type { GuideStationState } from './useGuideStation.ts';
import { type View, ViewMenu } from './ViewMenu.tsx';
import { WORDS } from './words.ts';

export type Middle = 'specimen' | 'page';

/** What stands in the middle of the guide, and how the specimen is laid out there. */
export function SpecimenBar({
  site,
  station: { across, setAcross, scheme, setScheme },
  middle,
  onMiddle,
  filter,
  onFilter,
  view,
  onView,
}: {
  site: Site;
  station: Pick<GuideStationState, 'across' | 'setAcross' | 'scheme' | 'setScheme'>;
  middle: Middle;
  onMiddle(middle: Middle): void;
  filter: string;
  onFilter(words: string): void;
  view: View;
  onView(view: View): void;
}) {
  return (
    <div className="flex min-h-10 flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair px-3 py-1">
      <Choice<Middle>
        label={WORDS.middle}
        value={middle}
        options={[
          { value: 'specimen', label: WORDS.specimen },
          { value: 'page', label: WORDS.page },
        ]}
        onChange={onMiddle}
      />
      {middle === 'specimen' && (
        <>
          <span className="ml-1 border-l border-hair pl-3 text-muted">{WORDS.across}</span>
          <Choice<Across>
            label={WORDS.columns}
            value={across}
            options={[
              { value: 'schemes', label: WORDS.schemes },
              { value: 'widths', label: WORDS.widths },
              { value: 'states', label: WORDS.states },
            ]}
            onChange={next => {
              setAcross(next);
              onView({ ...view, without: new Set() });
            }}
          />
          {across !== 'schemes' && (
            <Select
              hideLabel
              label={WORDS.scheme}
              value={scheme}
              options={schemesInOrder(site).map(it => ({ value: it.id, label: WORDS.on(it.name) }))}
              onChange={setScheme}
            />
          )}
          <input
            type="search"
            aria-label={WORDS.filter}
            placeholder={WORDS.filter}
            value={filter}
            onChange={event => onFilter(event.target.value)}
            className="ml-auto h-6 w-24 rounded-sm border border-hair bg-paper px-1.5"
          />
          <ViewMenu view={view} columns={columnsFor(site, across, scheme)} onChange={onView} />
        </>
      )}
    </div>
  );
}
