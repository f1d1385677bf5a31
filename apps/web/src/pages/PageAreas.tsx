import {
  AREA_USES,
  type AreaUse,
  areaUse,
  differsInArea,
  editOf,
  HEADER_COLORS,
  HEADER_SCROLLS,
  headerKindOf,
  type PageRecord,
  revertArea,
  SHARED_AREAS,
  type SharedArea,
  type Site,
  setAreaUse,
} from '@cove/core';
import { useCommit, useSession } from '../session/context.tsx';
import { HEADER_COLOR_NAMES, HEADER_SCROLL_NAMES } from '../siteSettings/headerKindNames.ts';
import { Button } from '../ui/Button.tsx';
import { Select } from '../ui/Select.tsx';

const AREA_NAMES: Record<SharedArea, string> = { header: 'Header', sidebar: 'Sidebar', footer: 'Footer' };

const USE_NAMES: Record<AreaUse, string> = {
  shared: 'Shared with other pages',
  own: 'One of its own',
  none: 'None',
};

/** What a page changes of what pages share, told by a mark, and taken back in one step. */
export function PageAreas({ site, page }: { site: Site; page: PageRecord }) {
  const session = useSession();
  const commit = useCommit();
  const edit = editOf(page);
  const ofSite = headerKindOf(site, null);
  const isOtherKind = page.headerScrolls !== undefined || page.headerColors !== undefined;
  return (
    <fieldset className="grid gap-2">
      <legend className="label-line mb-0.5">Header, sidebar and footer</legend>
      {SHARED_AREAS.map(area => (
        <div key={area} className="flex items-end gap-2">
          <div className="grow">
            <Select
              label={AREA_NAMES[area]}
              value={areaUse(site, page, area)}
              options={AREA_USES.map(value => ({ value, label: USE_NAMES[value] }))}
              onChange={use =>
                commit(setAreaUse(session.site, page.id, area, use), `Choose the ${area} of ${page.title}`)
              }
            />
          </div>
          {differsInArea(site, page, area) && (
            <Reverts
              what={area}
              onRevert={() =>
                commit(
                  revertArea(session.site, page.id, area),
                  `Give ${page.title} the ${area} of other pages`,
                )
              }
            />
          )}
        </div>
      ))}
      {areaUse(site, page, 'header') !== 'none' && (
        <div className="flex items-end gap-2">
          <div className="grid grow gap-2">
            <Select
              label="While scrolling, the header"
              value={page.headerScrolls ?? ''}
              options={[
                { value: '', label: `As on the site: ${HEADER_SCROLL_NAMES[ofSite.headerScrolls]}` },
                ...HEADER_SCROLLS.map(value => ({ value, label: HEADER_SCROLL_NAMES[value] })),
              ]}
              onChange={value =>
                commit(
                  [edit.put('headerScrolls', value === '' ? null : value)],
                  `Choose how the header of ${page.title} scrolls`,
                )
              }
            />
            <Select
              label="Colours of the header"
              value={page.headerColors ?? ''}
              options={[
                { value: '', label: `As on the site: ${HEADER_COLOR_NAMES[ofSite.headerColors]}` },
                ...HEADER_COLORS.map(value => ({ value, label: HEADER_COLOR_NAMES[value] })),
              ]}
              onChange={value =>
                commit(
                  [edit.put('headerColors', value === '' ? null : value)],
                  `Choose the colours of the header of ${page.title}`,
                )
              }
            />
          </div>
          {isOtherKind && (
            <Reverts
              what="kind of header"
              onRevert={() =>
                commit(
                  [edit.put('headerScrolls', null), edit.put('headerColors', null)],
                  `Give ${page.title} the kind of header of other pages`,
                )
              }
            />
          )}
        </div>
      )}
    </fieldset>
  );
}

/** Says that the page differs, and takes that back. */
function Reverts({ what, onRevert }: { what: string; onRevert(): void }) {
  return (
    <span className="flex shrink-0 items-center gap-1.5">
      <span className="text-small text-madder">differs</span>
      <Button aria-label={`Revert the ${what} to that of other pages`} onClick={onRevert}>
        Revert
      </Button>
    </span>
  );
}
